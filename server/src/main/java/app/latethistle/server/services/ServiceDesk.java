package app.latethistle.server.services;

import app.latethistle.core.Refused;
import app.latethistle.core.story.ServiceProfile;
import app.latethistle.server.config.Missing;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The services the person works with; the profiles that ship stand there at first. */
@Service
public class ServiceDesk {
  private final ServiceRows rows;

  ServiceDesk(ServiceRows rows) {
    this.rows = rows;
  }

  /** Puts the profiles that ship on an empty desk. */
  @Transactional
  void furnish() {
    if (rows.count() == 0) {
      ServiceProfile.USUAL.forEach(profile -> rows.save(new ServiceRow(profile)));
    }
  }

  /** All services, in the order they were added. */
  @Transactional(readOnly = true)
  List<ServiceRow> all() {
    return rows.findAllByOrderById();
  }

  /**
   * The profile of a name.
   *
   * @throws Missing if there is none
   */
  @Transactional(readOnly = true)
  public ServiceProfile profile(String name) {
    return row(name).profile();
  }

  /** Lets requests to a service that start at once be counted one after the other. */
  ServiceRow lock(ServiceRow row) {
    return rows.lock(row.id()).orElse(row);
  }

  ServiceRow row(String name) {
    return all().stream()
        .filter(r -> r.profile().name().equalsIgnoreCase(name))
        .findFirst()
        .orElseThrow(() -> new Missing("There is no service '" + name + "'."));
  }

  /** Adds a service, or changes the one of an id. */
  @Transactional
  public void set(Long id, ServiceProfile profile, int failsEvery) {
    boolean taken =
        all().stream()
            .anyMatch(
                r -> r.profile().name().equalsIgnoreCase(profile.name()) && !r.id().equals(id));
    if (taken) {
      throw new Refused(
          "There is a service named " + profile.name() + " already; give another name.");
    }
    if (failsEvery < 0 || failsEvery > 100) {
      throw new Refused("A stand-in fails every 1 to 100 requests, or 0: never.");
    }
    ServiceRow row =
        id == null
            ? new ServiceRow(profile)
            : rows.findById(id).orElseThrow(() -> new Missing("There is no service " + id + "."));
    row.set(profile, failsEvery);
    rows.save(row);
  }

  /** The profiles of some names, of those that are on the desk. */
  @Transactional(readOnly = true)
  public List<ServiceProfile> profiles(Set<String> names) {
    return all().stream().map(ServiceRow::profile).filter(p -> names.contains(p.name())).toList();
  }

  /** Adds those whose names no service has; others stay as they are here. */
  @Transactional
  public void add(List<ServiceProfile> profiles) {
    for (ServiceProfile profile : profiles) {
      if (all().stream().noneMatch(r -> r.profile().name().equalsIgnoreCase(profile.name()))) {
        rows.save(new ServiceRow(profile));
      }
    }
  }

  /** Removes a service; what it made stays. */
  @Transactional
  public void remove(long id) {
    rows.deleteById(id);
  }
}
