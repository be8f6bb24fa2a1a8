package app.latethistle.server.material;

import org.springframework.data.jpa.repository.JpaRepository;

/** The media kept, by hash. */
public interface Media extends JpaRepository<Medium, String> {}
