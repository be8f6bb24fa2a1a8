package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.cli.Thistle;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The Score as an editor uses it: by keys alone, planned again round a lock, in two windows. */
class EditingJourneyTest {
  /** As long as a busy machine may take to follow a subject through a take. */
  private static final int PATIENCE_MILLIS = 300_000;

  @TempDir Path folder;

  @Test
  void aFilmIsEditedByKeysPlannedAgainAndSharedByTwoWindows() throws IOException {
    try (Application application = Application.start();
        Browsers browsers = new Browsers()) {
      Page page = browsers.open(application.url());
      Steps steps = new Steps(page);
      steps.makeProduction("Water road", "18");
      Path[] clips =
          Browsers.demo(
              "shot_010_take1",
              "shot_020_take1",
              "shot_030_take1",
              "shot_040_take1",
              "shot_050_take1");
      steps.bringIn(
          Stream.concat(Stream.of(clips), Stream.of(Browsers.demo("slow bellows")))
              .toArray(Path[]::new));
      steps.awaitMeasured();
      steps.firstCut();
      sameAsFromTheTerminal(page, clips);
      byKeysAlone(page, steps);
      joinedByTransitions(page);
      theCameraMovesByMouseAndKeys(page);
      treated(page);
      inOtherShapes(page, steps);
      keyedIntoAnother(page);
      plannedAgain(page, steps);
      followsAnotherReading(page, steps);
      inTwoWindows(page, browsers);
      madeToLookAlike(page);
      heard(page);
      new WordsJourney(page, folder).go();
    }
  }

  /** A key shot is chosen, all are matched, one is bettered by hand, and all goes with undo. */
  private static void madeToLookAlike(Page page) {
    Locator rooms = page.getByRole(AriaRole.NAVIGATION);
    rooms.getByText("Look", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(page.getByText("Pick one shot all others should look like")).isVisible();
    page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Shots"))
        .getByRole(AriaRole.BUTTON)
        .nth(1)
        .click();
    page.keyboard().press("e");
    assertThat(page.getByText("measured from the key shot")).isVisible();
    page.keyboard().press("Shift+M");
    page.keyboard().press("ArrowLeft");
    Locator exposure = page.getByLabel("Exposure, stops");
    // While the match is on its way.
    exposure.fill("0.5");
    exposure.press("Enter");
    assertThat(page.getByText(Pattern.compile("[1-9] of \\d corrected"))).isVisible();
    assertThat(exposure).hasValue("0.50");
    assertThat(page.getByText(Pattern.compile("came .* away from it"))).isVisible();
    page.keyboard().press("0");
    assertThat(exposure).hasValue("0.00");
    for (int i = 0; i < 3; i++) {
      page.keyboard().press("Control+z");
    }
    finished(page);
    page.keyboard().press("Control+z");
    assertThat(page.getByText("Pick one shot all others should look like")).isVisible();
    rooms.getByText("Score").click();
  }

  /**
   * A sound is asked for, laid, moved by keys and dragged to another cut; undo takes it all back.
   */
  private static void heard(Page page) {
    Locator rooms = page.getByRole(AriaRole.NAVIGATION);
    rooms.getByText("Mix", new Locator.GetByTextOptions().setExact(true)).click();
    Locator search = page.getByLabel("Search sounds");
    search.fill("old iron gate slams, 1 s");
    page.getByText("Ask for it").click();
    Locator made =
        page.getByRole(
            AriaRole.GROUP,
            new Page.GetByRoleOptions().setName("old iron gate slams, 1 s 1").setExact(true));
    assertThat(made).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
    made.getByText("Lay").click();
    assertThat(rooms.getByText("1 sound laid")).isVisible();
    Locator mark = page.getByTestId("sound-sound");
    mark.click();
    Locator card =
        page.getByRole(
            AriaRole.REGION,
            new Page.GetByRoleOptions().setName("old iron gate slams, 1 s 1").setExact(true));
    assertThat(card.getByText("cut into")).isVisible();
    page.keyboard().press("]");
    assertThat(card.getByText(Pattern.compile("41\\.67 ms"))).isVisible();
    Locator gain = card.getByLabel("Gain, dB");
    gain.fill("-3");
    gain.press("Enter");
    assertThat(gain).hasValue("-3.0");
    page.getByText("Levels", new Page.GetByTextOptions().setExact(true)).click();
    Locator over = page.getByLabel("by rule to, LU under");
    over.fill("14");
    over.press("Enter");
    assertThat(page.getByLabel("voice over music, LU")).hasValue("14.0");
    drawnAndStopped(page);
    for (int i = 0; i < 7; i++) {
      page.keyboard().press("Control+z");
    }
    assertThat(rooms.getByText("no sounds yet")).isVisible();
    rooms.getByText("Score").click();
  }

  /** The music's level is drawn over the film, and it stops before a bar. */
  private static void drawnAndStopped(Page page) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Line of music")).click();
    Locator line =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Line of music"));
    line.getByText("Point at the playhead").click();
    Locator gain = line.getByRole(AriaRole.TEXTBOX);
    gain.fill("-6");
    gain.press("Enter");
    assertThat(gain).hasValue("-6.0");
    assertThat(page.getByTestId("line-MUSIC").first()).isVisible();
    Locator turns =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Turns of the music"));
    turns.getByText(Pattern.compile("^stop for")).click();
    assertThat(turns.getByText(Pattern.compile("^stops, "))).isVisible();
  }

  /** A finish is chosen on the film's own shots, a table laid over it, a broken one refused. */
  private static void finished(Page page) {
    Locator sides = page.getByLabel("What is shown");
    sides.getByText("Finish").click();
    Locator finishes =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Finishes"));
    assertThat(finishes.getByRole(AriaRole.BUTTON).nth(10)).isVisible();
    finishes.getByText("Old letter").click();
    Locator grain =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("grain").setExact(true));
    assertThat(grain).isVisible();
    Locator file = page.locator("input[type=file][accept*='.cube']");
    file.setInputFiles(
        new FilePayload(
            "broken.cube", "text/plain", "LUT_1D_SIZE 2\n0 0 0\n1 one 1\n".getBytes(UTF_8)));
    assertThat(page.getByText("broken.cube: Line 3 of the table: \"one\" is no number."))
        .isVisible();
    file.setInputFiles(
        new FilePayload(
            "negative.cube", "text/plain", "LUT_1D_SIZE 2\n1 1 1\n0 0 0\n".getBytes(UTF_8)));
    Locator table =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("table").setExact(true));
    assertThat(table).isVisible();
    page.keyboard().press("Control+z");
    assertThat(table).isHidden();
    page.keyboard().press("Control+z");
    assertThat(grain).isHidden();
    sides.getByText("Numbers").click();
  }

  /** The cut list that the terminal writes for the same files is the one the page shows. */
  private void sameAsFromTheTerminal(Page page, Path[] clips) throws IOException {
    Path same = Files.createDirectory(folder.resolve("clips"));
    for (Path clip : clips) {
      Files.copy(clip, same.resolve(clip.getFileName()));
    }
    Path cuts = folder.resolve("cuts.csv");
    int code =
        Thistle.run(
            "assemble",
            "--clips",
            same.toString(),
            "--song",
            Browsers.demo("slow bellows")[0].toString(),
            "--length",
            "18",
            "--size",
            "320x180",
            "--cuts",
            cuts.toString(),
            "--out",
            folder.resolve("film.mp4").toString());
    assertThat(code).isZero();
    List<String> written =
        Files.readAllLines(cuts).stream().skip(1).map(line -> line.split(",", 2)[0]).toList();
    Object shown =
        page.evaluate(
            "async () => (await (await fetch(`/api/productions/${location.pathname.split('/')[2]}"
                + "/film`)).json()).joints.slice(0, -1).map((j) => String(j.frame))");
    assertThat(shown).isEqualTo(written);
  }

  private static void press(Page page, String... keys) {
    for (String key : keys) {
      page.keyboard().press(key);
    }
  }

  private static Locator film(Page page) {
    return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The film"));
  }

  /** How many shots the film has, told by its card. */
  private static void shots(Page page, int count) {
    press(page, "Escape", "Escape");
    assertThat(film(page)).containsText(Pattern.compile("Shots" + count + ","));
  }

  private static Locator panel(Page page, String name) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator pressed(Locator in, String name) {
    return in.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  /** A dissolve grows by keys until a shot lacks material for it, is mended, and goes with undo. */
  private static void joinedByTransitions(Page page) {
    press(page, "Home", "s", "n", "i");
    Locator panel = panel(page, "Transition");
    pressed(panel, "in").click();
    assertThat(panel).containsText("From 010 into 020");
    press(page, "d");
    assertThat(pressed(panel, "dissolve")).hasAttribute("aria-pressed", "true");
    assertThat(pressed(panel, "1 beat")).hasAttribute("aria-pressed", "true");
    assertThat(page.locator("[data-passing=DISSOLVE]")).hasCount(1);
    press(page, "d");
    assertThat(pressed(panel, "2")).hasAttribute("aria-pressed", "true");
    Locator lacking = panel.getByText(Pattern.compile("f short at its (start|end)"));
    int longer = 0;
    while (lacking.count() == 0 && longer < 6) {
      press(page, "d");
      longer++;
      page.waitForTimeout(400);
    }
    assertThat(lacking.first()).isVisible();
    // Both sides stand still together.
    panel
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Hold its picture"))
        .first()
        .click();
    assertThat(lacking).hasCount(0);
    pressed(panel, "push").click();
    assertThat(page.locator("[data-passing=PUSH]")).hasCount(1);
    press(page, "Shift+Y");
    assertThat(page.locator("[data-passing]")).hasCount(0);
    press(page, "y");
    assertThat(page.locator("[data-passing=PUSH]")).hasCount(1);
    press(page, "Shift+Y");
    assertThat(page.locator("[data-passing]")).hasCount(0);
    assertThat(pressed(panel, "cut")).hasAttribute("aria-pressed", "true");
    press(page, "i");
  }

  /**
   * A frame's corner is dragged on the whole take, the frame moved by arrows, and it stays inside.
   */
  private static void theCameraMovesByMouseAndKeys(Page page) {
    press(page, "Home", "s", "Shift+F");
    Locator panel = panel(page, "Framing");
    Locator last = page.getByLabel(Pattern.compile("^last, \\d+ %; arrows move it"));
    Locator size = panel.getByLabel("last, size, %");
    assertThat(size).hasValue("100.0");
    BoundingBox box = page.getByTestId("monitor").boundingBox();
    page.mouse().move(box.x + box.width - 1, box.y + box.height - 1);
    page.mouse().down();
    page.mouse().move(box.x + box.width * 0.9, box.y + box.height * 0.9);
    page.mouse().up();
    assertThat(size).hasValue(Pattern.compile("12\\d\\.\\d"));
    assertThat(panel.getByTestId("fills")).containsText("1 take pixel fills");
    last.focus();
    press(page, "ArrowRight", "ArrowRight", "ArrowDown");
    assertThat(panel.getByLabel("last, right, %")).hasValue("1.0");
    // As far as the take goes, and no farther.
    for (int i = 0; i < 12; i++) {
      press(page, "Shift+ArrowRight");
    }
    assertThat(panel.getByLabel("last, right, %")).hasValue(Pattern.compile("9\\.\\d|10\\.\\d"));
    panel.getByLabel("last, size, %").fill("20");
    press(page, "Enter");
    assertThat(size).hasValue("100.0");
    pressed(panel, "No move").click();
    assertThat(panel.getByTestId("fills")).hasCount(0);
    press(page, "Shift+F", "Escape");
  }

  /** A shot is treated, its treatment follows the bars, is seen on the stave, and goes again. */
  private static void treated(Page page) {
    press(page, "Home", "s", "n", "a");
    Locator panel = panel(page, "Treatments");
    assertThat(panel.locator("img").first()).isVisible();
    page.waitForCondition(
        () ->
            (Boolean)
                panel.locator("img").first().evaluate("i => i.complete && i.naturalWidth > 0"));
    pressed(panel, "Add flash").click();
    Locator flash =
        panel.getByRole(AriaRole.LISTITEM, new Locator.GetByRoleOptions().setName("flash"));
    assertThat(flash.getByLabel("amount, %")).hasValue("70");
    assertThat(page.locator("path[data-amount]").first()).isVisible();
    flash.getByLabel("falls, ms").fill("600");
    press(page, "Enter");
    assertThat(flash.getByLabel("falls, ms")).hasValue("600");
    pressed(panel, "Add one more").click();
    pressed(panel, "Add glow").click();
    assertThat(panel.getByRole(AriaRole.LISTITEM)).hasCount(2);
    panel
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("glow earlier"))
        .click();
    assertThat(panel.getByRole(AriaRole.LISTITEM).first()).containsText("glow");
    press(page, "Shift+A");
    assertThat(pressed(panel, "Do all again")).isVisible();
    press(page, "Shift+A");
    pressed(panel, "Copy").click();
    press(page, "n");
    pressed(panel, "Paste 2").click();
    assertThat(panel.getByRole(AriaRole.LISTITEM)).hasCount(2);
    // A stretch is treated whatever lies under it.
    press(page, "Shift+O");
    Locator card = panel(page, "What lies under it is treated");
    assertThat(card).isVisible();
    pressed(card, "Add haze").click();
    assertThat(page.locator("[data-overlay]").first()).containsText("haze");
    pressed(card, "Take it out").click();
    assertThat(page.locator("[data-overlay]")).hasCount(0);
    press(page, "Home", "s", "n", "n");
    pressed(panel, "Take glow out").click();
    pressed(panel, "Take flash out").click();
    press(page, "Shift+N");
    pressed(panel, "Take glow out").click();
    pressed(panel, "Take flash out").click();
    assertThat(page.locator("path[data-amount]")).hasCount(0);
    press(page, "a", "Escape");
  }

  /** A focus is set by the mouse and by keys, and the film is watched in three shapes. */
  private static void inOtherShapes(Page page, Steps steps) {
    press(page, "Home", "s", "q");
    Locator panel = panel(page, "Shapes");
    assertThat(panel).containsText("No focus yet");
    Locator focus = panel.getByRole(AriaRole.SLIDER);
    BoundingBox box = focus.boundingBox();
    page.mouse().click(box.x + box.width * 0.25, box.y + box.height * 0.5);
    assertThat(focus).hasAttribute("aria-valuetext", "25 % from the left, 50 % from the top");
    focus.focus();
    press(page, "ArrowRight");
    assertThat(focus).hasAttribute("aria-valuetext", "27 % from the left, 50 % from the top");
    assertThat(pressed(panel, "9:16, about its focus")).isVisible();
    for (String shape : List.of("9:16", "1:1", "4:5")) {
      page.evaluate("document.activeElement.blur()");
      press(page, "z");
      assertThat(steps.button("in " + shape)).isVisible();
      BoundingBox monitor = page.getByTestId("monitor").boundingBox();
      String[] sides = shape.split(":");
      double aspect = Double.parseDouble(sides[0]) / Double.parseDouble(sides[1]);
      assertThat(monitor.width / monitor.height).isCloseTo(aspect, Offset.offset(0.02));
      press(page, "Space");
      page.waitForCondition(
          () ->
              (Boolean)
                  page.evaluate(
                      "() => { const v = document.querySelector('video');"
                          + " return v.videoWidth > 0 && v.currentTime > 0.1 && Math.abs("
                          + "v.videoWidth / v.videoHeight - "
                          + aspect
                          + ") < 0.03; }"));
      press(page, "Space");
    }
    steps.button("in 4:5").click();
    pressed(panel, "Middle").click();
    assertThat(panel).containsText("No focus yet");
    press(page, "q", "Escape");
    press(page, "Home");
  }

  /**
   * A shot that lies over the cut is moved on the picture and masked there; a colour goes out of it
   * and comes back.
   */
  private static void keyedIntoAnother(Page page) {
    press(page, "Home", "s", "n", "Home", "o");
    page.locator("[data-overlay]").first().waitFor();
    press(page, "Escape", "Shift+S");
    movedOnThePicture(page);
    maskedOnThePicture(page);
    cutOutWithoutBacking(page);
    Locator card = panel(page, "Backing");
    assertThat(card).containsText("stays");
    // The colour is pressed in the picture, where the sky is blue at night.
    pressed(card, "pick a colour").click();
    Locator picture = card.getByLabel("Press the colour that goes");
    page.waitForCondition(
        () -> (boolean) picture.locator("img").evaluate("i => i.complete && i.naturalWidth > 0"));
    picture.click(new Locator.ClickOptions().setPosition(160, 8));
    assertThat(card).containsText("taken out");
    Locator colour = card.getByLabel("Colour that is taken out");
    assertThat(colour).hasValue(Pattern.compile("#[0-3].[0-4].[2-8]."));
    card.getByLabel("softness, %").fill("35");
    press(page, "Enter");
    assertThat(card.getByLabel("softness, %")).hasValue("35");
    pressed(card, "Put it back").click();
    assertThat(colour).hasCount(0);
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take it out").setExact(true))
        .click();
    assertThat(page.locator("[data-overlay]")).hasCount(0);
    press(page, "Escape");
  }

  /**
   * What its subject is is drawn on a picture without a backing; it is followed and stays alone.
   */
  private static void cutOutWithoutBacking(Page page) {
    Locator row = panel(page, "Subject");
    pressed(row, "Cut its subject out").click();
    Locator sheet = page.getByTestId("strokes");
    drawn(page, sheet, 0.3, 0.2, 0.7, 0.95);
    page.getByTestId("shade").waitFor();
    press(page, "i");
    drawn(page, sheet, 0.45, 0.6, 0.55, 0.8);
    Accessible.check(page);
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    pressed(dialog, "Cut it out").click();
    pressed(dialog, "Let the subject stay")
        .click(new Locator.ClickOptions().setTimeout(PATIENCE_MILLIS));
    assertThat(pressed(row, "subject")).hasAttribute("aria-pressed", "true");
    pressed(row, "all of it").click();
    assertThat(pressed(row, "subject")).hasAttribute("aria-pressed", "false");
  }

  private static void drawn(Page page, Locator on, double x0, double y0, double x1, double y1) {
    BoundingBox box = on.boundingBox();
    page.mouse().move(box.x + x0 * box.width, box.y + y0 * box.height);
    page.mouse().down();
    page.mouse().move(box.x + x1 * box.width, box.y + y1 * box.height, steps(6));
    page.mouse().up();
  }

  private static void movedOnThePicture(Page page) {
    Locator lies = panel(page, "Where it lies");
    assertThat(lies.getByLabel("place, across, %")).hasValue("50.0");
    lies.getByLabel("place, size, %").fill("40");
    press(page, "Enter");
    Locator frame = page.getByLabel(Pattern.compile("^40 %; arrows move it"));
    assertThat(frame).isVisible();
    BoundingBox at = frame.boundingBox();
    page.mouse().move(at.x + at.width / 2, at.y + at.height / 2);
    page.mouse().down();
    page.mouse().move(at.x + at.width / 2 + 60, at.y + at.height / 2, steps(4));
    page.mouse().up();
    assertThat(lies.getByLabel("place, across, %")).hasValue(Pattern.compile("6\\d\\.\\d"));
    // By keys too; and from there it goes to another place.
    frame.focus();
    press(page, "ArrowUp", "ArrowUp");
    assertThat(lies.getByLabel("place, down, %")).hasValue("49.0");
    pressed(lies, "Move it").click();
    assertThat(lies.getByLabel("last, at, %")).hasValue("100");
    pressed(lies, "Let it stay").click();
    assertThat(lies.getByLabel("last, at, %")).hasCount(0);
  }

  private static Mouse.MoveOptions steps(int count) {
    return new Mouse.MoveOptions().setSteps(count);
  }

  private static void maskedOnThePicture(Page page) {
    Locator masks = panel(page, "Masks");
    pressed(masks, "ellipse").click();
    Locator point = page.getByLabel("Point 1 of mask 1; arrows move it");
    assertThat(point).isVisible();
    double before = point.boundingBox().x;
    point.focus();
    press(page, "Shift+ArrowLeft", "Shift+ArrowLeft");
    page.waitForCondition(() -> point.boundingBox().x < before - 1);
    masks.getByLabel("light under it comes round, %").fill("20");
    press(page, "Enter");
    assertThat(masks.getByLabel("light under it comes round, %")).hasValue("20");
    masks.getByLabel("Take mask 1 away").click();
    assertThat(point).hasCount(0);
    masks.getByLabel("light under it comes round, %").waitFor(hidden());
  }

  private static Locator.WaitForOptions hidden() {
    return new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN);
  }

  private static void byKeysAlone(Page page, Steps steps) {
    assertThat(film(page)).containsText("Shots5,");
    String start = steps.foot().textContent();
    // A beat more of the second shot: with ripple, the film is longer and stays on its beats.
    press(page, "Home", "s", "n", "x", "e");
    assertThat(steps.button("ripple")).hasAttribute("aria-pressed", "true");
    press(page, ".");
    steps.awaitText(steps.foot(), Pattern.compile(".*4 of 4.*"));
    assertThat(steps.foot()).not().hasText(start);
    press(page, "e", "e", "e");
    assertThat(steps.button("trim")).hasAttribute("aria-pressed", "true");
    // Half-way through the second shot it is split.
    press(page, "b", "b", "b", "b", "/");
    shots(page, 6);
    // The second half is copied, and put in again at the end of itself.
    press(page, "s", "Control+c", "Control+v");
    shots(page, 7);
    press(page, "s", "u");
    shots(page, 6);
    press(page, "s", "Alt+Delete");
    press(page, "s");
    assertThat(page.getByText(Pattern.compile("A gap of \\d+ frames"))).isVisible();
    press(page, "u");
    shots(page, 5);
    // One lies over the cut from the start on, and a marker says so.
    press(page, "Home", "s", "o");
    press(page, "Escape");
    assertThat(film(page)).containsText("Laid over1");
    press(page, "j");
    page.keyboard().type("over from here");
    press(page, "Enter");
    assertThat(film(page)).containsText("over from here");
    press(page, "(", "Shift+ArrowRight", "Shift+ArrowRight", ")");
    assertThat(page.getByTestId("range").first()).isVisible();
    press(page, "r");
    assertThat(page.getByLabel("Stop", new Page.GetByLabelOptions().setExact(true))).isVisible();
    press(page, "Escape", "Escape");
    for (int i = 0; i < 8; i++) {
      press(page, "Control+z");
    }
    assertThat(steps.foot()).hasText(start);
    shots(page, 5);
    assertThat(film(page)).not().containsText("Laid over");
  }

  private static void plannedAgain(Page page, Steps steps) {
    press(page, "Home", "s", "n", "n", ">", ">", ">", "l");
    assertThat(steps.button("locked")).isVisible();
    String in = steps.cut("In");
    String out = steps.cut("Out");
    press(page, "Escape");
    steps.button("Cut again").click();
    steps.button("Take the brisk cut").click();
    assertThat(film(page)).containsText("Locked1");
    press(page, "Home", "s", "n", "n");
    assertThat(steps.button("locked")).isVisible();
    assertThat(steps.cut("In")).isEqualTo(in);
    assertThat(steps.cut("Out")).isEqualTo(out);
    // What is locked is not moved by a ripple before it either.
    press(page, "Shift+N", "x", "e", ".");
    assertThat(page.getByText(Pattern.compile("is locked and would move"))).isVisible();
    press(page, "e", "e", "e", "n", "l", "Escape");
  }

  /** A cut tied to a word moves when the line is read quicker; undo takes both back. */
  private static void followsAnotherReading(Page page, Steps steps) {
    steps.room("Story").click();
    page.getByLabel("Script", new Page.GetByLabelOptions().setExact(true))
        .fill("## The jetty\n\nMaren (V.O.): The water came at night, and it really stayed.\n");
    assertThat(page.getByTestId("spoken")).containsText("spoken");
    steps.room("Cues").click();
    steps.button("Read all lines").click();
    Locator line =
        page.getByRole(
            AriaRole.GROUP, new Page.GetByRoleOptions().setName("line 1").setExact(true));
    assertThat(line).containsText("9 of 9");
    steps.room("Score").click();
    assertThat(steps.foot()).isVisible();
    press(page, "Home", "s", "n", "3");
    Locator reason = page.getByTestId("reason").first();
    assertThat(reason).containsText("in line 1");
    String start = frameOfFirst(page);
    steps.room("Cues").click();
    line.click();
    page.getByLabel(", w/min").fill("160");
    page.keyboard().press("Enter");
    steps.button("Read it").click();
    assertThat(page.getByText(Pattern.compile("1 cut moved with it, by up to \\d+ f"))).isVisible();
    steps.room("Score").click();
    assertThat(steps.foot()).isVisible();
    press(page, "Home", "s", "n");
    assertThat(reason).containsText("in line 1");
    assertThat(frameOfFirst(page)).isNotEqualTo(start);
    press(page, "Control+z");
    assertThat(steps.button("Redo"))
        .hasAttribute("title", "Redo: read line 1 again (Ctrl+Shift+Z)");
    assertThat(frameOfFirst(page)).isEqualTo(start);
  }

  /** The film as the server has it. */
  private static final String FILM =
      "fetch(`/api/productions/${location.pathname.split('/')[2]}/film`).then(r => r.json())";

  /** The first cut's frame, as the server has it. */
  private static String frameOfFirst(Page page) {
    return (String) page.evaluate("() => " + FILM + ".then(f => String(f.joints[1].frame))");
  }

  private static void inTwoWindows(Page page, Browsers browsers) {
    Page other = browsers.openDeaf(page.url());
    Steps here = new Steps(page);
    Steps there = new Steps(other);
    assertThat(there.foot()).isVisible();
    press(page, "Home", "s", "f");
    assertThat(here.button("soft")).hasAttribute("aria-pressed", "true");
    press(other, "Home", "s", "n", "f");
    assertThat(there.button("soft")).hasAttribute("aria-pressed", "true");
    press(other, "Home", "s");
    assertThat(there.button("soft")).hasAttribute("aria-pressed", "true");
    // Both change the same shot, but not the same of it: both changes are kept.
    press(page, "Home", "s", "f");
    assertThat(here.button("fit")).hasAttribute("aria-pressed", "true");
    press(other, "m", "ArrowRight");
    assertThat(there.button("fit")).hasAttribute("aria-pressed", "true");
    // Both move the same cut: the person says which stands.
    String before = frameOfFirst(page);
    press(page, "Home", "s", "n", ".");
    page.waitForCondition(() -> !frameOfFirst(page).equals(before));
    String moved = frameOfFirst(page);
    press(other, "Home", "s", "n", "<");
    assertThat(other.getByText("Changed in two windows")).isVisible();
    there.button("Make my change on it").click();
    assertThat(other.getByText("Changed in two windows")).hasCount(0);
    page.waitForCondition(
        () -> Integer.parseInt(frameOfFirst(page)) == Integer.parseInt(moved) - 1);
  }
}
