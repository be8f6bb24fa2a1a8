package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import tools.jackson.databind.json.JsonMapper;

/** A service profile as it is kept. */
@Entity
@Table(name = "service")
class ServiceRow {
  private static final JsonMapper JSON = JsonMapper.builder().build();

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
    return JSON.readValue(profile, ServiceProfile.class);
  }

  /** The stand-in fails each so-many-th request, to try what happens then; 0 for never. */
  int failsEvery() {
    return failsEvery;
  }

  final void set(ServiceProfile newProfile, int newFailsEvery) {
    profile = JSON.writeValueAsString(newProfile);
    failsEvery = newFailsEvery;
  }
}
