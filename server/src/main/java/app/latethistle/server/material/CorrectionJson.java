package app.latethistle.server.material;

import app.latethistle.core.music.Correction;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Corrections to and from their stored text: the name of each is part of what is stored. */
final class CorrectionJson {
  private static final TypeReference<List<Correction>> LIST = new TypeReference<>() {};
  private static final JsonMapper JSON =
      JsonMapper.builder().addMixIn(Correction.class, Names.class).build();

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "correction")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Correction.Halve.class, name = "halve"),
    @JsonSubTypes.Type(value = Correction.Twice.class, name = "double"),
    @JsonSubTypes.Type(value = Correction.Downbeat.class, name = "downbeat"),
    @JsonSubTypes.Type(value = Correction.Bars.class, name = "bars"),
    @JsonSubTypes.Type(value = Correction.MoveBeat.class, name = "move-beat"),
    @JsonSubTypes.Type(value = Correction.HoldTempo.class, name = "hold-tempo"),
    @JsonSubTypes.Type(value = Correction.Taps.class, name = "taps"),
    @JsonSubTypes.Type(value = Correction.TempoMap.class, name = "tempo-map"),
    @JsonSubTypes.Type(value = Correction.AddBorder.class, name = "add-border"),
    @JsonSubTypes.Type(value = Correction.MoveBorder.class, name = "move-border"),
    @JsonSubTypes.Type(value = Correction.Sung.class, name = "sung")
  })
  private interface Names {}

  private CorrectionJson() {}

  static String write(List<Correction> corrections) {
    return JSON.writerFor(LIST).writeValueAsString(corrections);
  }

  static List<Correction> read(String text) {
    return JSON.readValue(text, LIST);
  }
}
