package app.latethistle.e2e;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Measures the rooms beside the score on a film of 200 shots, a second each: how long it takes to
 * go into Mix, and to draw its 200 sounds anew; how often it is drawn while one is dragged, and how
 * often Words is while 400 captions scroll.
 */
final class RoomsBench {
  private static final int SOUNDS = 200;
  private static final int CAPTIONS = 400;

  private final Page page;

  RoomsBench(Page page) {
    this.page = page;
  }

  void measure() {
    fill();
    List<Double> drawn = new ArrayList<>();
    for (int round = 0; round < 12; round++) {
      open("Score");
      double took = open("Mix");
      if (round >= 2) {
        drawn.add(took);
      }
    }
    EditBench.print("going into Mix", drawn);
    EditBench.print(SOUNDS + " sounds drawn anew", anew());
    EditBench.print("a frame while a sound is dragged", frames(DRAGGED));
    open("Words");
    page.waitForSelector("text=caption " + CAPTIONS);
    EditBench.print("a frame while " + CAPTIONS + " captions scroll", frames(SCROLLED));
  }

  /** Lays the sounds and brings the captions in. */
  private void fill() {
    String captions =
        IntStream.rangeClosed(1, CAPTIONS)
            .mapToObj(
                i ->
                    i
                        + "\n"
                        + time(i / 2.0)
                        + " --> "
                        + time(i / 2.0 + 0.4)
                        + "\ncaption "
                        + i
                        + "\n\n")
            .reduce("", String::concat);
    page.evaluate(
        """
        async ({ sounds, captions }) => {
          const id = location.pathname.split("/")[2];
          const base = `/api/productions/${id}`;
          const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
          const post = async (path, body) => {
            const answer = await fetch(base + path, { method: "POST", body: JSON.stringify(body),
              headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token } });
            if (!answer.ok) throw new Error(await answer.text());
            return answer.json();
          };
          const film = async () => (await fetch(base + "/film")).json();
          const [sound] = await post("/sounds/ask", { words: "short click" });
          const whole = await film();
          await post("/film/take-out", { revision: whole.revision, leaveGap: false,
            places: whole.shots.map((_, place) => place).filter((place) => place > sounds + 2) });
          const cut = await film();
          await post("/film/sounds-on-cuts", { revision: cut.revision, sound: sound.id,
            from: 1, to: cut.joints[sounds + 1].frame });
          await post("/film/bring-captions", { revision: (await film()).revision,
            language: "en", name: "many.srt", content: btoa(captions) });
        }
        """,
        Map.of("sounds", SOUNDS, "captions", captions));
    page.reload();
    page.waitForSelector("[data-place]");
  }

  private static String time(double seconds) {
    long millis = Math.round(seconds * 1000);
    return "%02d:%02d:%02d,%03d"
        .formatted(millis / 3_600_000, millis / 60_000 % 60, millis / 1000 % 60, millis % 1000);
  }

  /** Goes to a room; how many milliseconds pass until it is drawn. */
  private double open(String room) {
    Object took =
        page.evaluate(
            """
            async (room) => {
              const tab = [...document.querySelectorAll("a")]
                .find((a) => a.textContent.startsWith(room));
              const start = performance.now();
              tab.click();
              await new Promise((done) => {
                const there = {
                  Score: () => document.querySelector('[aria-label="Score"]'),
                  Mix: () => document.querySelector('[data-testid^="sound-"]'),
                  Words: () => document.querySelector('[aria-label="Titles on the picture"]'),
                }[room];
                // A message that is sent before a frame is painted comes once it has been.
                const painted = new MessageChannel();
                painted.port1.onmessage = done;
                const look = () => location.pathname.endsWith(room.toLowerCase()) && there()
                  ? painted.port2.postMessage(null)
                  : requestAnimationFrame(look);
                requestAnimationFrame(look);
              });
              return performance.now() - start;
            }
            """,
            room);
    page.waitForTimeout(1500);
    return ((Number) took).doubleValue();
  }

  /** Another width draws all staves anew; milliseconds until they are painted. */
  private List<Double> anew() {
    List<Double> took = new ArrayList<>();
    for (int round = 0; round < 24; round++) {
      Object millis =
          page.evaluate(
              """
              async (width) => {
                const sheet = document.querySelector('[aria-label="Mix"]').parentElement;
                const drawn = () => sheet.querySelector("svg")?.getAttribute("width");
                const before = drawn();
                const start = performance.now();
                sheet.style.maxWidth = width;
                await new Promise((done) => {
                  const painted = new MessageChannel();
                  painted.port1.onmessage = done;
                  const look = () => drawn() !== before
                    ? painted.port2.postMessage(null)
                    : requestAnimationFrame(look);
                  requestAnimationFrame(look);
                });
                return performance.now() - start;
              }
              """,
              round % 2 == 0 ? "860px" : "820px");
      if (round >= 4) {
        took.add(((Number) millis).doubleValue());
      }
      page.waitForTimeout(300);
    }
    return took;
  }

  private static final String DRAGGED =
      """
      (step) => {
        const sheet = document.querySelector('[aria-label="Mix"]');
        const mark = sheet.querySelector('[data-testid^="sound-"]').getBoundingClientRect();
        sheet.setPointerCapture = () => undefined;
        const at = (type, dx) => sheet.dispatchEvent(new PointerEvent(type, { bubbles: true,
          button: 0, pointerId: 1, clientX: mark.x + mark.width / 2 + dx,
          clientY: mark.y + mark.height / 2 }));
        if (step === 0) at("pointerdown", 0);
        at(step === 119 ? "pointercancel" : "pointermove", 5 + (step % 60));
      }
      """;

  private static final String SCROLLED =
      """
      (step) => {
        const list = document.querySelector('[role="list"]');
        list.scrollTop = step * 120;
      }
      """;

  /** Milliseconds from one drawn frame to the next while something is done before each of them. */
  @SuppressWarnings("unchecked")
  private List<Double> frames(String act) {
    List<Number> took =
        (List<Number>)
            page.evaluate(
                "async () => { const act = "
                    + act
                    + """
                    ;
                    const took = [];
                    let last = performance.now();
                    for (let step = 0; step < 120; step++) {
                      act(step);
                      await new Promise((done) => requestAnimationFrame(done));
                      const now = performance.now();
                      if (step > 10) took.push(now - last);
                      last = now;
                    }
                    return took;
                    }
                    """);
    return took.stream().map(Number::doubleValue).toList();
  }
}
