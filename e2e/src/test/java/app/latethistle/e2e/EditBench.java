package app.latethistle.e2e;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Measures in the real browser, on a film of 500 shots and 8 minutes, how long it takes until the
 * score is drawn, an edit is answered and shown, its still is there, and the film plays; then the
 * rooms beside it. {@code ./bench edit}
 */
public final class EditBench {
  private static final int SHOTS = 500;
  private static final int EDITS = 90;

  private final Page page;

  private EditBench(Page page) {
    this.page = page;
  }

  public static void main(String[] args) {
    try (Application application = Application.start();
        Browsers browsers = new Browsers()) {
      Page page = browsers.open(application.url());
      Steps steps = new Steps(page);
      steps.makeProduction("Bench", "18");
      steps.bringIn(
          Browsers.demo(
              "shot_010_take1", "shot_020_take1", "shot_030_take1", "shot_040", "slow bellows"));
      steps.firstCut();
      EditBench bench = new EditBench(page);
      bench.lengthen();
      steps.foot().waitFor();
      bench.drawing();
      bench.edits();
      bench.playing(500);
      bench.playing(2000);
      bench.stalls();
      new RoomsBench(page).measure();
    }
    System.exit(0);
  }

  private Object run(String script, Object argument) {
    return page.evaluate(script, argument);
  }

  /** Pastes shots until there are so many. */
  private void lengthen() {
    run(
        """
        async (count) => {
          const id = location.pathname.split("/")[2];
          const base = `/api/productions/${id}/film`;
          const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
          const film = await (await fetch(base)).json();
          const pieces = Array.from({ length: count - film.shots.length }, (_, i) => {
            const s = film.shots[i % film.shots.length];
            return { shotId: s.shotId, takeId: s.takeId, in: (7 * i) % 60, framing: s.framing,
              length: 24 };
          });
          const body = { revision: film.revision, joint: film.joints.length - 1, pieces,
            plain: true };
          const answer = await fetch(base + "/paste", { method: "POST", body: JSON.stringify(body),
            headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token } });
          if (!answer.ok) throw new Error(await answer.text());
        }
        """,
        SHOTS);
    page.reload();
    page.waitForSelector("[data-place]");
  }

  /** Another number of bars a line draws everything anew. */
  private void drawing() {
    List<Double> millis = new ArrayList<>();
    for (int round = 0; round < 24; round++) {
      Object took =
          run(
              """
              async (bars) => {
                const buttons = [...document.querySelectorAll('[aria-label="Bars a line"] button')];
                const start = performance.now();
                buttons.find((b) => b.textContent === String(bars)).click();
                await new Promise((done) =>
                  requestAnimationFrame(() => requestAnimationFrame(done)));
                return performance.now() - start;
              }
              """,
              round % 2 == 0 ? 8 : 16);
      if (round >= 4) {
        millis.add(((Number) took).doubleValue());
      }
      // What comes after a drawing, decoding pictures and clearing up, is not the next one's.
      page.waitForTimeout(700);
    }
    print(SHOTS + " shots drawn", millis);
  }

  @SuppressWarnings("unchecked")
  private void edits() {
    Random random = new Random(3);
    List<Double> answered = new ArrayList<>();
    List<Double> shown = new ArrayList<>();
    List<Double> stills = new ArrayList<>();
    for (int round = 0; round < EDITS; round++) {
      page.keyboard().press("Escape");
      run("p => document.activeElement?.blur()", 0);
      selectAt(random.nextInt(SHOTS - 2) + 1);
      Object took =
          run(
              """
              async (key) => {
                const score = document.querySelector('[aria-label="Score"]');
                const monitor = document.querySelector('[data-testid="monitor"]');
                performance.clearResourceTimings();
                const start = performance.now();
                const drawn = new Promise((done) => {
                  const observer = new MutationObserver(() => {
                    observer.disconnect();
                    requestAnimationFrame(() => done(performance.now() - start));
                  });
                  observer.observe(score, { subtree: true, childList: true, attributes: true });
                  setTimeout(() => done(-1), 2000);
                });
                const still = new Promise((done) => {
                  const observer = new MutationObserver(() => {
                    observer.disconnect();
                    requestAnimationFrame(() => done(performance.now() - start));
                  });
                  observer.observe(monitor, { subtree: true, childList: true });
                  setTimeout(() => done(-1), 2000);
                });
                document.body.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true }));
                const both = [await drawn, await still];
                const sent = performance.getEntriesByType("resource")
                  .filter((e) => /film\\/[a-z-]+$/.test(e.name));
                return { drawn: both[0], still: both[1],
                  answered: sent.length ? sent[0].duration : -1 };
              }
              """,
              round % 2 == 0 ? ">" : "<");
      Map<String, Object> times = (Map<String, Object>) took;
      if (round >= EDITS / 6) {
        add(answered, times.get("answered"));
        add(shown, times.get("drawn"));
        add(stills, times.get("still"));
      }
    }
    print("an edit answered", answered);
    print("an edit shown", shown);
    print("its still there", stills);
  }

  /** Presses on a shot whose number is in sight. */
  private void selectAt(int place) {
    run(
        """
        (place) => {
          const drawn = [...document.querySelectorAll("[data-place]")];
          const number = drawn[place % drawn.length];
          const at = number.getBoundingClientRect();
          const band = number.closest("svg").previousElementSibling.getBoundingClientRect();
          const score = document.querySelector('[aria-label="Score"]');
          const init = { bubbles: true, button: 0, pointerId: 1,
            clientX: at.x + at.width / 2, clientY: band.y + band.height / 2 };
          score.setPointerCapture = () => undefined;
          score.dispatchEvent(new PointerEvent("pointerdown", init));
          score.dispatchEvent(new PointerEvent("pointerup", init));
        }
        """,
        place);
    page.waitForTimeout(250);
  }

  /** How long it takes to play so many milliseconds after an edit. */
  private void playing(int rested) {
    Random random = new Random(4 + rested);
    List<Double> begun = new ArrayList<>();
    for (int round = 0; round < 20; round++) {
      selectAt(random.nextInt(SHOTS - 2) + 1);
      run(
          "() => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: '>', bubbles: true }))",
          0);
      page.waitForTimeout(rested);
      Object took =
          run(
              """
              async () => {
                const video = document.querySelector("video");
                const start = performance.now();
                document.body.dispatchEvent(new KeyboardEvent("keydown", { key: " ", bubbles: true }));
                return new Promise((done) => {
                  const look = () => {
                    if (!video.paused && !video.seeking && video.readyState >= 3 &&
                      video.style.visibility === "visible") done(performance.now() - start);
                    else if (performance.now() - start > 20000) done(-1);
                    else requestAnimationFrame(look);
                  };
                  look();
                });
              }
              """,
              0);
      add(begun, took);
      page.waitForTimeout(700);
      run(
          "() => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }))",
          0);
    }
    print(rested / 1000.0 + " s after an edit it plays", begun);
  }

  private void stalls() {
    Object stalls =
        run(
            """
            async () => {
              const video = document.querySelector("video");
              let stalls = 0;
              document.body.dispatchEvent(new KeyboardEvent("keydown", { key: "Home", bubbles: true }));
              document.body.dispatchEvent(new KeyboardEvent("keydown", { key: " ", bubbles: true }));
              await new Promise((done) => setTimeout(done, 3000));
              video.addEventListener("waiting", () => stalls++);
              await new Promise((done) => setTimeout(done, 20000));
              return stalls;
            }
            """,
            0);
    System.out.println("stalls in 20 s of playing: " + stalls);
  }

  private static void add(List<Double> list, Object value) {
    double millis = ((Number) value).doubleValue();
    if (millis >= 0) {
      list.add(millis);
    }
  }

  static void print(String name, List<Double> measured) {
    List<Double> millis = measured.stream().sorted().toList();
    System.out.printf(
        "%-34s p50 %5.0f ms, p95 %5.0f ms, most %5.0f ms, %d rounds%n",
        name,
        millis.get(millis.size() / 2),
        millis.get(millis.size() * 95 / 100),
        millis.get(millis.size() - 1),
        millis.size());
  }
}
