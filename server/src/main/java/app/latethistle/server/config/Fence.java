package app.latethistle.server.config;

import app.latethistle.media.Sandbox;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Says whether the files of others are read in a fence on this machine. */
@RestController
class Fence {
  private static final Logger LOG = LoggerFactory.getLogger(Fence.class);

  /**
   * What a person should know of this machine.
   *
   * @param fenced whether decoders see nothing but the one file they read
   */
  record MachineView(boolean fenced) {}

  @GetMapping("/api/machine")
  MachineView machine() {
    return new MachineView(Sandbox.isAvailable());
  }

  @EventListener(ApplicationReadyEvent.class)
  void tell() {
    if (!Sandbox.isAvailable()) {
      LOG.warn(
          "bubblewrap does not work on this machine: files are read with limits on memory, time and"
              + " output, but not in a fence. Bring in only files whose maker you trust.");
    }
  }
}
