package app.latethistle.server.stored;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Balance;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Material;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Standing;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Transition;
import app.latethistle.core.sound.Manner;
import app.latethistle.document.ItemForms;
import app.latethistle.document.LookForms;
import app.latethistle.document.SoundForms;
import app.latethistle.document.TieForm;
import app.latethistle.document.WordForms;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/**
 * How the values of an aspect are stored.
 *
 * @param <I> the item
 * @param <T> what is said of it
 * @param <S> as which it is stored
 */
final class StoredAspect<I, T, S> {
  private record Part(String take, long in) {}

  private record Between(TieForm start, TieForm end) {}

  private record Start(long start) {}

  /** Areas that are kept free of words; null if all are as usual. */
  private record Safes(List<WordForms.Safe> areas) {}

  private record SoundLanding(TieForm at, long offset, TieForm until) {
    static SoundLanding of(Landing landing) {
      return new SoundLanding(
          TieForm.of(landing.at()),
          landing.offset(),
          landing.until().map(TieForm::of).orElse(null));
    }

    Landing get() {
      return new Landing(at.get(), offset, Optional.ofNullable(until).map(TieForm::get));
    }
  }

  private record Stands(TieForm lands, long frames, TieForm until) {
    static Stands of(Standing standing) {
      return new Stands(
          TieForm.of(standing.lands()),
          standing.frames(),
          standing.until().map(TieForm::of).orElse(null));
    }

    Standing get() {
      return new Standing(lands.get(), frames, Optional.ofNullable(until).map(TieForm::get));
    }
  }

  private record Texts(Map<String, String> texts) {}

  /** What is followed; null for nothing. */
  private record Follows(ItemForms.Followed place) {
    static Follows of(Optional<Following> following) {
      return new Follows(following.map(ItemForms.Followed::of).orElse(null));
    }

    Optional<Following> get() {
      return Optional.ofNullable(place).map(ItemForms.Followed::get);
    }
  }

  /** The take that is seen in a title's letters; null for none. */
  private record Letters(String take) {
    static Letters of(Optional<String> picture) {
      return new Letters(picture.orElse(null));
    }

    Optional<String> get() {
      return Optional.ofNullable(take);
    }
  }

  private record SoundManner(double gain, SoundForms.Heard heard) {
    static SoundManner of(Manner how) {
      return new SoundManner(how.gain(), SoundForms.Heard.of(how));
    }

    Manner get() {
      return heard.get(gain);
    }
  }

  /** A sound whose landing and manner say nothing. */
  private record SoundSource(SoundForms.Sound sound) {
    static SoundSource of(SoundMaterial what) {
      return new SoundSource(
          SoundForms.Sound.of(new FilmSound("", what, Landing.on(Tie.free(0)), Manner.PLAIN)));
    }

    SoundMaterial get() {
      return sound.get().what();
    }
  }

  private static final List<StoredAspect<?, ?, ?>> ALL =
      List.of(
          new StoredAspect<>(
              Aspect.SOURCE,
              Part.class,
              s -> new Part(s.take(), s.in()),
              s -> new Material.Source(s.take, s.in)),
          new StoredAspect<>(
              Aspect.RUN, ItemForms.Running.class, ItemForms.Running::of, ItemForms.Running::get),
          new StoredAspect<>(
              Aspect.FRAMING, LookForms.Shaped.class, LookForms.Shaped::of, LookForms.Shaped::get),
          new StoredAspect<>(
              Aspect.TREATMENTS, LookForms.Done.class, LookForms.Done::of, LookForms.Done::get),
          new StoredAspect<>(
              Aspect.MATTE, LookForms.Cut.class, LookForms.Cut::of, LookForms.Cut::get),
          new StoredAspect<>(
              Aspect.LEVELLING,
              LookForms.Levelled.class,
              LookForms.Levelled::of,
              LookForms.Levelled::get),
          new StoredAspect<>(
              Aspect.CORRECTION,
              LookForms.Corrected.class,
              LookForms.Corrected::of,
              LookForms.Corrected::get),
          new StoredAspect<>(
              Aspect.SOUND, ItemForms.Heard.class, ItemForms.Heard::of, ItemForms.Heard::get),
          new StoredAspect<>(Aspect.LOCK, Boolean.class, b -> b, b -> b),
          new StoredAspect<>(Aspect.GROUP, Integer.class, g -> g, g -> g),
          new StoredAspect<>(Aspect.TIE, TieForm.class, TieForm::of, TieForm::get),
          new StoredAspect<>(
              Aspect.TRANSITION,
              LookForms.Passing.class,
              LookForms.Passing::of,
              StoredAspect::transition),
          new StoredAspect<>(Aspect.LAYER, Integer.class, l -> l, l -> l),
          new StoredAspect<>(
              Aspect.TIES,
              Between.class,
              t -> new Between(TieForm.of(t.start()), TieForm.of(t.end())),
              b -> new Overlay.Ties(b.start.get(), b.end.get())),
          new StoredAspect<>(
              Aspect.LIE,
              LookForms.Lying.class,
              path -> LookForms.Lying.of(path, Mixing.NORMAL),
              LookForms.Lying::path),
          new StoredAspect<>(
              Aspect.WORDS, WordForms.Said.class, WordForms.Said::of, WordForms.Said::get),
          new StoredAspect<>(
              Aspect.LETTERING,
              WordForms.Lettered.class,
              WordForms.Lettered::of,
              WordForms.Lettered::get),
          new StoredAspect<>(
              Aspect.BOX, WordForms.Boxes.class, WordForms.Boxes::of, WordForms.Boxes::get),
          new StoredAspect<>(
              Aspect.MOVEMENT, WordForms.Moving.class, WordForms.Moving::of, WordForms.Moving::get),
          new StoredAspect<>(Aspect.STANDING, Stands.class, Stands::of, Stands::get),
          new StoredAspect<>(Aspect.TITLE_LAYER, Integer.class, l -> l, l -> l),
          new StoredAspect<>(Aspect.TITLE_FOLLOWS, Follows.class, Follows::of, Follows::get),
          new StoredAspect<>(Aspect.TITLE_PICTURE, Letters.class, Letters::of, Letters::get),
          new StoredAspect<>(Aspect.SOUND_FOLLOWS, Follows.class, Follows::of, Follows::get),
          new StoredAspect<>(Aspect.TEXTS, Texts.class, Texts::new, t -> t.texts),
          new StoredAspect<>(
              Aspect.CAPTION_STYLE, WordForms.Look.class, WordForms.Look::of, WordForms.Look::get),
          new StoredAspect<>(Aspect.MIXING, String.class, Mixing::name, Mixing::valueOf),
          new StoredAspect<>(
              Aspect.LANDING, SoundLanding.class, SoundLanding::of, SoundLanding::get),
          new StoredAspect<>(Aspect.MANNER, SoundManner.class, SoundManner::of, SoundManner::get),
          new StoredAspect<>(Aspect.MATERIAL, SoundSource.class, SoundSource::of, SoundSource::get),
          new StoredAspect<>(
              Aspect.BALANCE,
              SoundForms.Balanced.class,
              StoredAspect::balanced,
              SoundForms.Balanced::get),
          new StoredAspect<>(
              Aspect.SAFE,
              Safes.class,
              areas -> new Safes(WordForms.Safe.of(areas)),
              s -> WordForms.Safe.get(s.areas)),
          new StoredAspect<>(
              Aspect.MUSIC, Start.class, m -> new Start(m.start()), s -> new SongUse(s.start)),
          new StoredAspect<>(
              Aspect.FINISH,
              LookForms.Finished.class,
              LookForms.Finished::of,
              LookForms.Finished::get));

  private static final Map<String, StoredAspect<?, ?, ?>> BY_NAME =
      ALL.stream().collect(Collectors.toMap(a -> a.aspect.name(), a -> a));

  private final Aspect<I, T> aspect;
  private final Class<S> type;
  private final Function<T, S> write;
  private final Function<S, T> read;

  private StoredAspect(
      Aspect<I, T> aspect, Class<S> type, Function<T, S> write, Function<S, T> read) {
    this.aspect = aspect;
    this.type = type;
    this.write = write;
    this.read = read;
  }

  /** The values that an edit sets, as they are stored. */
  static <I, T> Map<String, JsonNode> values(SetAspect<I, T> edit) {
    StoredAspect<?, ?, ?> stored = BY_NAME.get(edit.aspect().name());
    Map<String, JsonNode> values = new LinkedHashMap<>();
    edit.values().forEach((id, value) -> values.put(id, stored.tree(value)));
    return values;
  }

  /** The usual one is not written in a film, but it is in an edit. */
  private static SoundForms.Balanced balanced(Balance balance) {
    return Optional.ofNullable(SoundForms.Balanced.of(balance)).orElse(SoundForms.Balanced.USUAL);
  }

  /** Those stored first said nothing: they were plain cuts. */
  private static Transition transition(LookForms.Passing stored) {
    return stored.kind() == null ? Transition.CUT : stored.get();
  }

  @SuppressWarnings("unchecked") // the value is one of the aspect that the name stands for
  private JsonNode tree(Object value) {
    return Json.MAPPER.valueToTree(write.apply((T) value));
  }

  /**
   * The edit that sets stored values.
   *
   * @throws IllegalStateException if no aspect has that name
   */
  static SetAspect<?, ?> edit(String name, Map<String, JsonNode> values, String label) {
    StoredAspect<?, ?, ?> stored = BY_NAME.get(name);
    if (stored == null) {
      throw new IllegalStateException("Nothing is known of a stored aspect '" + name + "'.");
    }
    return stored.edit(values, label);
  }

  private SetAspect<I, T> edit(Map<String, JsonNode> values, String label) {
    Map<String, T> set = new LinkedHashMap<>();
    values.forEach((id, value) -> set.put(id, read.apply(Json.as(value, type))));
    return new SetAspect<>(aspect, set, label);
  }
}
