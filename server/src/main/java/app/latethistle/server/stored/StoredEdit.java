package app.latethistle.server.stored;

import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmCaptions;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Joint;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Recut;
import app.latethistle.core.film.Replace;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.film.SetAspect;
import app.latethistle.document.FilmForm;
import app.latethistle.document.ItemForms;
import app.latethistle.document.SoundForms;
import app.latethistle.document.WordForms;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** An edit as it is stored. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "edit")
@JsonSubTypes({
  @JsonSubTypes.Type(value = StoredEdit.Set.class, name = "set"),
  @JsonSubTypes.Type(value = StoredEdit.Cut.class, name = "recut"),
  @JsonSubTypes.Type(value = StoredEdit.Item.class, name = "put"),
  @JsonSubTypes.Type(value = StoredEdit.Whole.class, name = "replace"),
  @JsonSubTypes.Type(value = StoredEdit.Voice.class, name = "revoice"),
  @JsonSubTypes.Type(value = StoredEdit.Together.class, name = "compound")
})
public sealed interface StoredEdit {
  /** Raised whenever an edit is stored otherwise. */
  int FORMAT = 2;

  /** The edit. */
  Edit get();

  /** One aspect of items. */
  record Set(String aspect, Map<String, JsonNode> values, String label) implements StoredEdit {
    @Override
    public Edit get() {
      return StoredAspect.edit(aspect, values, label);
    }
  }

  /** Other placements and joints. */
  record Cut(
      String label,
      String after,
      List<String> without,
      List<ItemForms.Shot> with,
      Map<String, ItemForms.Cut> joints)
      implements StoredEdit {
    @Override
    public Edit get() {
      Map<String, Joint> changed = new LinkedHashMap<>();
      joints.forEach((name, joint) -> changed.put(name, joint.get()));
      return new Recut(
          label, after, without, with.stream().map(ItemForms.Shot::get).toList(), changed);
    }
  }

  /** An item over or beside the cut; null takes it away. */
  record Item(String kind, String id, JsonNode item, String label) implements StoredEdit {
    @Override
    public Edit get() {
      boolean gone = item == null || item.isNull();
      return switch (kind) {
        case "overlay" ->
            put(ItemKind.OVERLAY, gone ? null : Json.as(item, ItemForms.Over.class).get());
        case "sound" ->
            put(ItemKind.SOUND, gone ? null : Json.as(item, SoundForms.Sound.class).get());
        case "title" ->
            put(ItemKind.TITLE, gone ? null : Json.as(item, WordForms.Title.class).get());
        case "captions" ->
            put(ItemKind.CAPTIONS, gone ? null : Json.as(item, WordForms.Captions.class).get());
        case "marker" ->
            put(ItemKind.MARKER, gone ? null : Json.as(item, ItemForms.Note.class).get());
        default -> throw new IllegalStateException("Nothing is known of a stored " + kind + ".");
      };
    }

    private <I> Edit put(ItemKind.ListKind<I> of, I value) {
      return new Put<>(of, id, value, label);
    }

    static Item of(Put<?> put) {
      Object stored = null;
      if (put.item() instanceof Overlay overlay) {
        stored = ItemForms.Over.of(overlay);
      } else if (put.item() instanceof FilmSound sound) {
        stored = SoundForms.Sound.of(sound);
      } else if (put.item() instanceof FilmTitle title) {
        stored = WordForms.Title.of(title);
      } else if (put.item() instanceof FilmCaptions captions) {
        stored = WordForms.Captions.of(captions);
      } else if (put.item() instanceof Marker marker) {
        stored = ItemForms.Note.of(marker);
      }
      return new Item(
          put.kind().toString(), put.id(), Json.MAPPER.valueToTree(stored), put.label());
    }
  }

  /** A whole film. */
  record Whole(FilmForm film, String label) implements StoredEdit {
    @Override
    public Edit get() {
      return new Replace(film.get(), label);
    }
  }

  /** What is settled of a line of the voice. */
  public record Line(String reading, String start, Double value, Double longest) {
    public static Line of(Revoice.Settled settled) {
      return new Line(settled.reading(), settled.start(), settled.value(), settled.longest());
    }

    public Revoice.Settled get() {
      return new Revoice.Settled(reading, start, value, longest);
    }
  }

  /** A voice that is another. */
  record Voice(String line, int number, Line before, Line after) implements StoredEdit {
    @Override
    public Edit get() {
      return new Revoice(line, number, before.get(), after.get());
    }
  }

  /** Several as one. */
  record Together(String label, List<StoredEdit> edits) implements StoredEdit {
    @Override
    public Edit get() {
      return new Compound(label, edits.stream().map(StoredEdit::get).toList());
    }
  }

  private static StoredEdit of(Edit edit) {
    if (edit instanceof SetAspect<?, ?> set) {
      return new Set(set.aspect().name(), StoredAspect.values(set), set.label());
    }
    if (edit instanceof Recut recut) {
      Map<String, ItemForms.Cut> joints = new LinkedHashMap<>();
      recut.joints().forEach((name, joint) -> joints.put(name, ItemForms.Cut.of(joint)));
      return new Cut(
          recut.label(),
          recut.after(),
          recut.without(),
          recut.with().stream().map(ItemForms.Shot::of).toList(),
          joints);
    }
    if (edit instanceof Put<?> put) {
      return Item.of(put);
    }
    if (edit instanceof Replace replace) {
      return new Whole(FilmForm.of(replace.film()), replace.label());
    }
    if (edit instanceof Revoice voice) {
      return new Voice(
          voice.line(), voice.number(), Line.of(voice.before()), Line.of(voice.after()));
    }
    Compound compound = (Compound) edit;
    return new Together(compound.label(), compound.edits().stream().map(StoredEdit::of).toList());
  }

  /** An edit as text. */
  static String write(Edit edit) {
    return Json.write(FORMAT, of(edit));
  }

  /** A stored edit; an early one is understood only on the film that it was made on. */
  @FunctionalInterface
  interface OnFilm {
    /** The edit on the film as it was before it. */
    Edit on(Film before);
  }

  /** Reads an edit of any format. */
  static OnFilm read(String text) {
    JsonNode tree = Json.tree(text);
    if (Json.format(tree, FORMAT) == 1) {
      return before -> EditsOfFormat1.edit(tree, before);
    }
    Edit edit = Json.as(tree, StoredEdit.class).get();
    return before -> edit;
  }
}
