package app.latethistle.server.storage;

import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What of the store no production uses. */
@RestController
@RequestMapping("/api/storage")
class StorageController {
  private final Clearing clearing;

  StorageController(Clearing clearing) {
    this.clearing = clearing;
  }

  /**
   * What can be cleared.
   *
   * @param bytes of it
   * @param days after which it goes by itself
   */
  record StorageView(long bytes, long days) {}

  @GetMapping
  StorageView unused() throws IOException {
    return new StorageView(clearing.now().bytes(), Clearing.PATIENCE.toDays());
  }

  @PostMapping("/clear")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void clear() throws IOException {
    clearing.clearNow();
  }
}
