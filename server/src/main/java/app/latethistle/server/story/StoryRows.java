package app.latethistle.server.story;

import org.springframework.data.jpa.repository.JpaRepository;

/** Which version of each story is in force. */
interface StoryRows extends JpaRepository<StoryRow, Long> {}
