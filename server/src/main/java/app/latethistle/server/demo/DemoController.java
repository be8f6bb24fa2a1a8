package app.latethistle.server.demo;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Puts the demo back on a shelf that has none. */
@RestController
class DemoController {
  private final DemoShelf demo;

  DemoController(DemoShelf demo) {
    this.demo = demo;
  }

  @PostMapping("/api/demo")
  @ResponseStatus(HttpStatus.ACCEPTED)
  void putBack() {
    demo.begin();
  }
}
