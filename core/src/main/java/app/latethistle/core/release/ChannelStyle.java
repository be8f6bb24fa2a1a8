package app.latethistle.core.release;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.marks.Badge;
import app.latethistle.core.marks.Sign;
import app.latethistle.core.words.CaptionStyle;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.ShapedBox;
import app.latethistle.core.words.TitleKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What all films of a channel have in common, kept apart from any of them.
 *
 * @param name of the channel, 1 to 60 letters
 * @param badge what lies over marks; empty if nothing does
 * @param designs of titles, one of a kind at most; that of an end card has its words, too
 * @param captions how those of the voice look
 * @param treatments of all of the picture
 * @param end how films end
 * @param outputs tied to no film
 * @param description that a release sheet begins with
 * @param tags that are on every release sheet
 */
public record ChannelStyle(
    String name,
    Optional<Sign> badge,
    List<Design> designs,
    CaptionStyle captions,
    Treatments treatments,
    EndFade end,
    List<Output> outputs,
    String description,
    List<String> tags) {
  private static final int LONGEST = 60;

  /**
   * Copies lists, takes blanks off the name's ends.
   *
   * @throws IllegalArgumentException if it has no name, or two designs are of one kind
   */
  public ChannelStyle {
    name = name == null ? "" : name.strip();
    if (name.isEmpty() || name.length() > LONGEST) {
      throw new Refused("Give the style a name of up to " + LONGEST + " letters.");
    }
    designs = List.copyOf(designs);
    outputs = List.copyOf(outputs);
    tags = List.copyOf(tags);
    if (designs.stream().map(d -> d.words().kind()).distinct().count() < designs.size()) {
      throw new Refused("A style has one design for each kind of title.");
    }
  }

  /** What a film, its outputs and its sheet have that others can have, too. */
  public static ChannelStyle of(String name, Film film, List<Output> outputs, ReleaseSheet sheet) {
    Map<TitleKind, Design> designs = new EnumMap<>(TitleKind.class);
    for (FilmTitle title : film.titles()) {
      TitleKind kind = title.words().kind();
      if (kind != TitleKind.BADGE) {
        designs.putIfAbsent(kind, title.design());
      }
    }
    return new ChannelStyle(
        name,
        Badge.in(film).map(Badge::sign),
        List.copyOf(designs.values()),
        film.captionsIn(FilmCaptions.READ).style(),
        film.finish().treatments(),
        film.finish().end(),
        outputs.stream().map(ChannelStyle::untied).toList(),
        sheet.description(),
        sheet.tags());
  }

  /** The families that its words are set in. */
  public Set<String> families() {
    return Lettering.families(
        Stream.of(
                designs.stream().map(Design::lettering),
                Stream.of(captions.lettering()),
                badge.stream().map(sign -> Designs.BADGE.lettering().withFace(sign.face())))
            .flatMap(letterings -> letterings));
  }

  private static Output untied(Output output) {
    return output.withPart(
        new Output.Part(Optional.empty(), Optional.empty(), output.part().longest()));
  }

  /**
   * Gives a film this style: its finish, the look of its captions, and that of its titles by their
   * kinds. Places of titles in other shapes than the film's own, and the badge, stay.
   *
   * @return empty if it has it already
   */
  public Optional<Edit> onto(Film film) {
    List<Edit> edits = new ArrayList<>();
    Finish finish = film.finish().withTreatments(treatments).withEnd(end);
    if (!finish.equals(film.finish())) {
      edits.add(SetAspect.of(Aspect.FINISH, "", finish));
    }
    FilmCaptions read = film.captionsIn(FilmCaptions.READ);
    if (!read.style().equals(captions)) {
      edits.add(Put.captions(read.withStyle(captions)));
    }
    for (FilmTitle title : film.titles()) {
      designs.stream()
          .filter(d -> d.words().kind() == title.words().kind())
          .map(d -> set(title, d))
          .filter(set -> !set.equals(title))
          .forEach(set -> edits.add(Put.title(set)));
    }
    return edits.isEmpty()
        ? Optional.empty()
        : Optional.of(new Compound("take the style of " + name, edits));
  }

  /** Gives a release sheet its tags, and its description where the sheet has none. */
  public ReleaseSheet onto(ReleaseSheet sheet) {
    Set<String> all = new LinkedHashSet<>(sheet.tags());
    all.addAll(tags);
    String said = sheet.description().isBlank() ? description : sheet.description();
    return sheet.withWords(said, List.copyOf(all));
  }

  private static FilmTitle set(FilmTitle title, Design design) {
    FilmTitle set =
        title
            .withLettering(design.lettering())
            .withMovement(design.movement())
            .withBox(new ShapedBox(design.box(), title.box().others()));
    return title.words().kind() == TitleKind.END ? set.withWords(design.words()) : set;
  }
}
