package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Service profiles. */
@RestController
@RequestMapping("/api/services")
class ServiceController {
  private final ServiceDesk desk;
  private final Allowance allowance;

  ServiceController(ServiceDesk desk, Allowance allowance) {
    this.desk = desk;
    this.allowance = allowance;
  }

  /**
   * A service.
   *
   * @param left credits of the period's allowance that are left
   * @param failsEvery the stand-in fails each so-many-th request; 0 for never
   */
  record ServiceView(long id, ServiceProfile profile, int failsEvery, double left) {}

  record ServiceChange(ServiceProfile profile, int failsEvery) {}

  @GetMapping
  List<ServiceView> all() {
    return desk.all().stream()
        .map(r -> new ServiceView(r.id(), r.profile(), r.failsEvery(), allowance.left(r.profile())))
        .toList();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  void add(@RequestBody ServiceChange change) {
    desk.set(null, change.profile(), change.failsEvery());
  }

  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@PathVariable long id, @RequestBody ServiceChange change) {
    desk.set(id, change.profile(), change.failsEvery());
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable long id) {
    desk.remove(id);
  }
}
