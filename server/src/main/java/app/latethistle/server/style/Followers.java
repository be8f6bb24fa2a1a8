package app.latethistle.server.style;

import org.springframework.data.jpa.repository.JpaRepository;

/** The productions that have taken a style. */
interface Followers extends JpaRepository<Follower, Long> {}
