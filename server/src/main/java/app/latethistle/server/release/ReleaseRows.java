package app.latethistle.server.release;

import org.springframework.data.jpa.repository.JpaRepository;

/** The release sheets. */
interface ReleaseRows extends JpaRepository<ReleaseRow, Long> {}
