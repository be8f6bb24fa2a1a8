package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.media.WaveFile;
import app.latethistle.standins.narrator.Manner;
import app.latethistle.standins.narrator.Narrator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Both clocks: lines are read, recorded and tightened; a song is made another length. */
class CuesJourneyTest {
  private static final String LINE = "The water came at night, and it really stayed.";

  /** The count-in is three seconds long; the line comes after it. */
  private static final double SAID_AFTER = 4.5;

  @TempDir Path folder;

  @Test
  void linesAreReadAndASongIsMadeToFit() throws IOException {
    Path spoken = folder.resolve("microphone.wav");
    speak(spoken);
    try (Application application = Application.start();
        Browsers browsers = new Browsers(spoken)) {
      Page page = browsers.open(application.url());
      Steps steps = new Steps(page);
      steps.makeProduction("Night water", "20");
      page.getByTestId("choose-files").first().setInputFiles(Browsers.demo("slow")[0]);
      steps.room("Story").click();
      page.getByLabel("Script", new Page.GetByLabelOptions().setExact(true))
          .fill("## The valley\n\nMaren (V.O.): " + LINE + "\n\nOsk (V.O.): Then let it go.\n");
      assertThat(page.getByTestId("spoken")).containsText("spoken");
      steps.room("Cues").click();
      read(page, steps);
      record(page);
      place(page);
      sing(page);
      shorten(page, steps);
    }
  }

  /** A line after some silence, as the 16 bits a browser's pretended microphone reads. */
  private void speak(Path file) throws IOException {
    MonoSound line = Narrator.read(LINE, Narrator.voice("Sedge"), 120, Manner.EVEN);
    int lead = (int) (SAID_AFTER * line.rate());
    float[] samples = new float[lead + line.samples().length + 3 * line.rate()];
    for (int i = 0; i < line.samples().length; i++) {
      samples[lead + i] = 0.5f * line.samples()[i];
    }
    Path wide = folder.resolve("wide.wav");
    WaveFile.write(wide, samples, 1, line.rate());
    Process process =
        new ProcessBuilder(
                "ffmpeg",
                "-v",
                "error",
                "-i",
                wide.toString(),
                "-ar",
                "48000",
                "-c:a",
                "pcm_s16le",
                file.toString())
            .inheritIO()
            .start();
    try {
      if (process.waitFor() != 0) {
        throw new IOException("ffmpeg failed.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private static Locator line(Page page, int number) {
    return page.getByRole(
        AriaRole.GROUP, new Page.GetByRoleOptions().setName("line " + number).setExact(true));
  }

  private static Locator tools(Page page) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName("tools of line 1").setExact(true));
  }

  private static Locator button(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private static void read(Page page, Steps steps) {
    assertThat(line(page, 1)).containsText("not read yet");
    steps.button("Read all lines").click();
    assertThat(line(page, 1)).containsText("9 of 9");
    assertThat(line(page, 2)).containsText("4 of 4");
    assertThat(line(page, 1).locator("svg text", new Locator.LocatorOptions().setHasText("night")))
        .isVisible();
  }

  private static void record(Page page) {
    line(page, 1).click();
    button(tools(page), "Record").click();
    assertThat(button(tools(page), "Stop").first()).isVisible();
    // The count-in, the rest of the silence and the line itself.
    page.waitForTimeout(9500);
    button(tools(page), "Stop").first().click();
    assertThat(tools(page)).containsText("2 readings");
    assertThat(tools(page)).containsText("recorded");
    assertThat(line(page, 1)).containsText("9 of 9");
    page.reload();
    assertThat(line(page, 1)).containsText("9 of 9");
    line(page, 1).click();
    assertThat(tools(page)).containsText("2 readings");
  }

  private static void place(Page page) {
    Locator undo =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo").setExact(true));
    button(tools(page), "Tighten").click();
    assertThat(line(page, 1)).containsText(Pattern.compile("was \\d+\\.\\d\\d s"));
    undo.click();
    assertThat(line(page, 1)).containsText("when tight");
    tools(page)
        .getByRole(
            AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName("start").setExact(true))
        .click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("on a bar")).click();
    tools(page).locator("input[aria-label^='bar']").fill("3");
    page.keyboard().press("Enter");
    Locator place = line(page, 1).getByText("3.1", new Locator.GetByTextOptions().setExact(true));
    assertThat(place).isVisible();
    undo.click();
    assertThat(place).not().isVisible();
  }

  /** Looks closely, marks a stretch under the line as sung, and takes it back. */
  private static void sing(Page page) {
    Locator song =
        page.getByRole(
            AriaRole.SLIDER,
            new Page.GetByRoleOptions().setName("place in the song").setExact(true));
    int beats = song.locator("[data-beat]").count();
    page.keyboard().press("z");
    assertThat(song.locator("[data-beat='30']")).hasCount(0);
    assertThat(song.locator("text", new Locator.LocatorOptions().setHasText("The water")))
        .isVisible();
    BoundingBox box = song.boundingBox();
    page.keyboard().down("Shift");
    page.mouse().move(box.x + 100, box.y + 100);
    page.mouse().down();
    page.mouse().move(box.x + 400, box.y + 100);
    page.mouse().up();
    page.keyboard().up("Shift");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sung").setExact(true))
        .click();
    assertThat(song.locator("text", new Locator.LocatorOptions().setHasText("sung"))).isVisible();
    assertThat(line(page, 1)).containsText("over singing");
    page.keyboard().press("z");
    assertThat(song.locator("[data-beat]")).hasCount(beats);
    page.keyboard().press("Control+z");
    assertThat(line(page, 1)).not().containsText("over singing");
  }

  private static void shorten(Page page, Steps steps) {
    steps.button("Another length").click();
    page.getByLabel("Make Slow bellows last, s").fill("45");
    page.keyboard().press("Enter");
    Locator first =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("way 1").setExact(true));
    assertThat(first).isVisible();
    first
        .getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText("join"))
        .first()
        .click();
    page.waitForFunction(
        "() => [...document.querySelectorAll('audio')]"
            + ".some(a => a.src.includes('joins') && a.currentTime > 0.5)");
    button(first, "Take it").click();
    Locator made =
        page.getByRole(
            AriaRole.REGION,
            new Page.GetByRoleOptions().setName("Slow bellows, 45.0 s").setExact(true));
    assertThat(made).containsText("92.0 BPM, 4/4");
    assertThat(made).containsText("0:45.0");
    button(made, "Choose this").click();
    assertThat(made.getByText("chosen")).isVisible();
  }
}
