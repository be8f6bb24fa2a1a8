package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import app.latethistle.server.stored.StoredService;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A service profile as it is kept. */
@Entity
@Table(name = "service")
class ServiceRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(columnDefinition = "text")
  private String profile;

  private int failsEvery;

  protected ServiceRow() {}

  ServiceRow(ServiceProfile profile) {
    set(profile, 0);
  }

  Long id() {
    return id;
  }

  ServiceProfile profile() {
    return StoredService.read(profile);
  }

  /** The stand-in fails each so-many-th request, to try what happens then; 0 for never. */
  int failsEvery() {
    return failsEvery;
  }

  final void set(ServiceProfile newProfile, int newFailsEvery) {
    profile = StoredService.write(newProfile);
    failsEvery = newFailsEvery;
  }
}
