package app.latethistle.server.demo;

import app.latethistle.core.release.Output;
import app.latethistle.core.release.Preset;
import app.latethistle.core.release.ReleaseSheet;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.release.Releases;
import java.util.List;
import java.util.Optional;

/** The release sheets of the demo's films. */
final class DemoRelease {
  private static final String OWN = "made for the demo, CC0";

  /** The presets that come first: a wide film, and an upright short. */
  static final List<Output> OUTPUTS = Preset.SHIPPED.stream().limit(2).map(Preset::output).toList();

  private DemoRelease() {}

  /** The sheet of a film: what it is about, its tags, the rights of all that is in it. */
  static ReleaseSheet sheet(Releases releases, FilmState state, boolean night) {
    ReleaseSheet first = releases.sheet(state.production().id());
    String about =
        night
            ? "A mail balloon crosses a drowned valley on the longest night."
                + " Forty-one letters, and one with no name."
            : "A carousel of salt turns once a year, and this year somebody rides it.";
    List<String> tags =
        night
            ? List.of("short film", "balloon", "winter", "night mail", "storybook")
            : List.of("music video", "carousel", "salt", "dusk");
    return new ReleaseSheet(
        first.title(),
        about,
        /* chapters= */ true,
        tags,
        /* generated= */ true,
        Optional.empty(),
        releases.rightsOfAll(state, OWN));
  }
}
