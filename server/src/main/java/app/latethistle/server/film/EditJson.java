package app.latethistle.server.film;

import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Lay;
import app.latethistle.core.film.Lend;
import app.latethistle.core.film.Mark;
import app.latethistle.core.film.Recut;
import app.latethistle.core.film.Revoice;
import app.latethistle.core.film.Several;
import app.latethistle.core.film.Tie;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Edits to and from their stored text: the name of each is part of what is stored. */
final class EditJson {
  private static final JsonMapper JSON =
      JsonMapper.builder()
          .addMixIn(Edit.class, EditNames.class)
          .addMixIn(Tie.class, TieNames.class)
          // Stored edits may be older than some of their values.
          .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .build();

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "edit")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Edit.MoveJoint.class, name = "move-joint"),
    @JsonSubTypes.Type(value = Edit.Slip.class, name = "slip"),
    @JsonSubTypes.Type(value = Edit.ChooseTake.class, name = "choose-take"),
    @JsonSubTypes.Type(value = Edit.SetFraming.class, name = "set-framing"),
    @JsonSubTypes.Type(value = Edit.SetLock.class, name = "set-lock"),
    @JsonSubTypes.Type(value = Edit.SetRun.class, name = "set-run"),
    @JsonSubTypes.Type(value = Edit.SetSound.class, name = "set-sound"),
    @JsonSubTypes.Type(value = Recut.class, name = "recut"),
    @JsonSubTypes.Type(value = Lay.class, name = "lay"),
    @JsonSubTypes.Type(value = Lend.class, name = "lend"),
    @JsonSubTypes.Type(value = Mark.class, name = "mark"),
    @JsonSubTypes.Type(value = Revoice.class, name = "revoice"),
    @JsonSubTypes.Type(value = Several.class, name = "several"),
    @JsonSubTypes.Type(value = Edit.MoveShot.class, name = "move-shot"),
    @JsonSubTypes.Type(value = Edit.RemoveShot.class, name = "remove-shot"),
    @JsonSubTypes.Type(value = Edit.InsertShot.class, name = "insert-shot"),
    @JsonSubTypes.Type(value = Edit.SetSong.class, name = "set-song"),
    @JsonSubTypes.Type(value = Edit.Replace.class, name = "replace")
  })
  private interface EditNames {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "tie")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Tie.OnBeat.class, name = "beat"),
    @JsonSubTypes.Type(value = Tie.OnWord.class, name = "word"),
    @JsonSubTypes.Type(value = Tie.Free.class, name = "free")
  })
  private interface TieNames {}

  private EditJson() {}

  static String write(Edit edit) {
    return JSON.writerFor(Edit.class).writeValueAsString(edit);
  }

  static Edit read(String text) {
    return JSON.readValue(text, Edit.class);
  }
}
