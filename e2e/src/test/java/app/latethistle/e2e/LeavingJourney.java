package app.latethistle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;

/** How a finished film leaves beside its files: watched by somebody else, packed for elsewhere. */
final class LeavingJourney {
  private static final int PHONE_WIDE = 390;
  private static final int PHONE_HIGH = 844;
  private static final LocatorAssertions.IsVisibleOptions LONG =
      new LocatorAssertions.IsVisibleOptions().setTimeout(90_000);

  private final Page page;
  private final Steps steps;

  LeavingJourney(Page page, Steps steps) {
    this.page = page;
    this.steps = steps;
  }

  /** A link is opened on a phone, a note left there, and ticked off in Score. */
  void watchedOnAPhone() {
    steps.room("Master").click();
    steps.button("Have others watch").click();
    page.getByLabel("Whom it is for").fill("Ines");
    steps.button("Make a link").click();
    Locator open = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open"));
    assertThat(open).isVisible();
    Accessible.check(page);
    Page phone = page.context().newPage();
    phone.setViewportSize(PHONE_WIDE, PHONE_HIGH);
    phone.navigate(open.evaluate("a => a.href").toString());
    Locator play = phone.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Play"));
    play.click();
    assertThat(phone.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Pause")))
        .isVisible();
    phone.waitForFunction("() => document.querySelector('video').currentTime > 1");
    phone.getByLabel("Note").fill("The boat is too late");
    phone.getByLabel("Your name").fill("Ines");
    phone.getByText("Leave it at").click();
    assertThat(phone.getByRole(AriaRole.LIST)).containsText("The boat is too late");
    Accessible.check(phone);
    phone.close();
    steps.button("Withdraw").click();
    assertThat(open).hasCount(0);
    steps.button("Close").click();

    steps.room("Score").click();
    assertThat(page.locator("[data-marker]").first()).containsText("Ines: The boat is");
    // The markers are listed where no shot is chosen.
    page.keyboard().press("Escape");
    page.getByLabel("done").click();
    assertThat(page.locator("[data-marker]").first()).not().containsText("Ines");
  }

  /** A production is packed, and brought in on the same shelf as one more. */
  void packedAndBroughtIn(String title, int shots) {
    page.navigate(page.evaluate("() => location.origin").toString());
    Locator row =
        page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(title)).first();
    row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Pack")).click();
    Accessible.check(page);
    Download zip =
        page.waitForDownload(
            () ->
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("With its files"))
                    .click());
    assertEquals(title + ".zip", zip.suggestedFilename());
    Path packed = zip.path();
    page.getByLabel("A packed production").setInputFiles(packed);
    page.waitForURL("**/takes", new Page.WaitForURLOptions().setTimeout(90_000));
    steps.room("Score").click();
    assertThat(steps.foot()).isVisible(LONG);
    assertThat(steps.room("Score")).containsText(shots + " shots");
    assertThat(page.locator("[data-marker]")).hasCount(1);
    page.navigate(page.evaluate("() => location.origin").toString());
    assertThat(page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(title)))
        .hasCount(2);
  }
}
