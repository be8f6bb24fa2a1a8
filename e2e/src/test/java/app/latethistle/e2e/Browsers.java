package app.latethistle.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Debian's Chromium, without a screen, at the size of a small laptop. */
final class Browsers implements AutoCloseable {
  private static final double PATIENCE_MILLIS = 60_000;

  private final Playwright playwright =
      Playwright.create(
          new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
  private final Browser browser;

  Browsers() {
    this(new String[0]);
  }

  /** A browser whose microphone hears a file, once, from the moment it is opened. */
  Browsers(Path microphone) {
    this(
        "--use-fake-ui-for-media-stream",
        "--use-fake-device-for-media-stream",
        "--use-file-for-fake-audio-capture=" + microphone + "%noloop");
  }

  private Browsers(String... more) {
    List<String> arguments =
        new ArrayList<>(
            List.of(
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--autoplay-policy=no-user-gesture-required"));
    arguments.addAll(List.of(more));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(arguments));
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS / 2);
  }

  /** A page of a window of its own. */
  Page open(String url) {
    Page page =
        browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800)).newPage();
    page.setDefaultTimeout(PATIENCE_MILLIS);
    page.navigate(url);
    return page;
  }

  /**
   * A page of a window of its own that hears nothing of what others do, as if its connection were
   * slow.
   */
  Page openDeaf(String url) {
    BrowserContext context =
        browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    context.addInitScript(
        "delete window.SharedWorker; window.EventSource = class { addEventListener() {} close() {}"
            + " };");
    Page page = context.newPage();
    page.setDefaultTimeout(PATIENCE_MILLIS);
    page.navigate(url);
    return page;
  }

  @Override
  public void close() {
    playwright.close();
  }

  /** Demo files, by how their names begin. */
  static Path[] demo(String... beginnings) {
    try (Stream<Path> files = Files.list(Path.of("..", "demo"))) {
      return files
          .filter(
              f ->
                  Arrays.stream(beginnings).anyMatch(b -> f.getFileName().toString().startsWith(b)))
          .sorted()
          .toArray(Path[]::new);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
