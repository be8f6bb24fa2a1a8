package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;

/** What a person does, step by step. */
final class Steps {
  private static final LocatorAssertions.HasTextOptions LONG_TEXT =
      new LocatorAssertions.HasTextOptions().setTimeout(90_000);
  private static final LocatorAssertions.IsVisibleOptions LONG =
      new LocatorAssertions.IsVisibleOptions().setTimeout(180_000);

  private static final int MEASURING_SECONDS = 180;

  private final Page page;

  Steps(Page page) {
    this.page = page;
  }

  Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator room(String name) {
    return page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Rooms"))
        .getByRole(AriaRole.LINK)
        .filter(new Locator.FilterOptions().setHasText(name));
  }

  Locator foot() {
    return page.locator("footer");
  }

  void makeProduction(String title, String seconds) {
    page.locator("main")
        .getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText("Make a production"))
        .click();
    page.getByLabel("Title").fill(title);
    page.getByLabel("Wanted length, seconds").fill(seconds);
    button("Begin with clips").click();
    assertThat(page.getByText("No clips yet.")).isVisible();
  }

  /** Brings files in and waits until all have arrived. */
  void bringIn(Path... files) {
    page.getByTestId("choose-files").first().setInputFiles(files);
    assertThat(page.getByTestId("arrivals")).containsText(files.length + " files brought in");
  }

  /** Waits in Takes until every take has been measured. */
  void awaitMeasured() {
    room("Takes").click();
    assertThat(page.getByLabel("Take 1").first()).isVisible();
    for (int i = 0; i < MEASURING_SECONDS; i++) {
      Object all =
          page.evaluate(
              "async () => (await (await fetch(`/api/productions/${location.pathname.split('/')[2]}"
                  + "/material`)).json()).shots.every((s) => s.takes.every((t) => t.facts))");
      if (Boolean.TRUE.equals(all)) {
        return;
      }
      page.waitForTimeout(1000);
    }
    throw new AssertionError("the takes were not measured");
  }

  /** Goes to the Score and makes the first cut as soon as clips and song are ready. */
  void firstCut() {
    room("Cues").click();
    assertThat(page.getByText("% sure")).isVisible(LONG);
    room("Score").click();
    button("Make the first cut").click(new Locator.ClickOptions().setTimeout(90_000));
    button("Take the even cut").click();
    assertThat(foot()).isVisible();
    assertThat(page.getByTestId("monitor").locator("img")).isVisible();
  }

  /** Orders a master under a name. */
  Locator order(String name) {
    room("Master").click();
    page.getByLabel(Pattern.compile(", change it$")).first().click();
    page.getByLabel("Name").fill(name);
    page.keyboard().press("Enter");
    button("small").click();
    button("Render this").click();
    Locator row =
        page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(name).setExact(true));
    assertThat(row).isVisible();
    return row;
  }

  void awaitChecked(Locator row) {
    assertThat(row.getByText("Checked", new Locator.GetByTextOptions().setExact(true)))
        .isVisible(LONG);
  }

  /** What the selected shot's card says of its cut: "beat 2 of bar 3". */
  String cut(String end) {
    return page.getByRole(
            AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("^Shot ")))
        .getByTestId("reason")
        .nth(end.equals("In") ? 0 : 1)
        .textContent();
  }

  void awaitText(Locator locator, Pattern pattern) {
    assertThat(locator).hasText(pattern, LONG_TEXT);
  }

  /**
   * Types into the field that has been given the focus, once it has it, and keeps what is typed.
   */
  void typeWhereAsked(String text) {
    assertThat(page.locator("input:focus, textarea:focus")).isVisible();
    page.keyboard().type(text);
    page.keyboard().press("Enter");
  }
}
