package app.latethistle.server.release;

import app.latethistle.core.film.Lettered;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.marks.MarkFate;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Story;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.StatedRights;
import app.latethistle.server.material.OwnFaces;
import app.latethistle.server.material.RepairKind;
import app.latethistle.server.material.SoundRow;
import app.latethistle.server.material.SoundShelf;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a film is made of, and under what rights. */
@ServerOnly
@Component
class Assets {
  private final Takes takes;
  private final SoundShelf shelf;
  private final OwnFaces faces;

  Assets(Takes takes, SoundShelf shelf, OwnFaces faces) {
    this.faces = faces;
    this.takes = takes;
    this.shelf = shelf;
  }

  /**
   * Something that was used.
   *
   * @param key by which its rights are kept
   * @param kind pictures, song, voice, sound or face
   * @param name of it
   * @param note how much of it is used, or where it is from
   * @param rights under which it is used; "" if nobody said
   */
  record Asset(String key, String kind, String name, String note, String rights) {
    boolean isMissing() {
      return rights.isBlank();
    }
  }

  /** All that a film uses, in the order of kinds. */
  List<Asset> of(FilmState state, Story story, Map<String, String> stated) {
    List<Asset> all = new ArrayList<>();
    long id = state.production().id();
    Map<String, TakeEntry> entries = takes.byFilmId(id);
    Map<String, MarkFate> fates = MarkFate.of(state.marked(), faces.all());
    pictures(state, entries).forEach((name, shown) -> all.add(picture(name, shown, fates, stated)));
    if (!state.film().balance().level(Bus.MUSIC).muted()) {
      state
          .song()
          .ifPresent(
              song -> all.add(asset("song", song.medium().hash(), song.title(), "", stated, "")));
    }
    for (String voice : voices(state, story)) {
      all.add(asset("voice", voice, voice, "", stated, ""));
    }
    SoundShelf.Catalogue known = shelf.catalogue(id);
    SoundMaterial.OfFile.in(state.film())
        .collect(Collectors.toMap(SoundMaterial.OfFile::media, s -> s, (a, b) -> a, TreeMap::new))
        .values()
        .forEach(
            file -> {
              Optional<SoundRow> row = known.of(file.media());
              all.add(
                  asset(
                      "sound",
                      file.media(),
                      file.name(),
                      row.map(SoundRow::source).orElse(""),
                      stated,
                      row.map(SoundRow::rights).orElse("")));
            });
    // The faces that ship are all under the SIL Open Font Licence.
    Lettered.families(state.film())
        .forEach(
            family -> {
              String licence = faces.licence(family).orElse("OFL 1.1");
              all.add(asset("face", family, family, "", stated, licence));
            });
    return all;
  }

  /** A take in a shot of the film. */
  private record Shown(String shot, TakeEntry take) {}

  /** Those of a service: how many shots, and in how many what was done of a mark or a place. */
  private static Asset picture(
      String service, List<Shown> shown, Map<String, MarkFate> fates, Map<String, String> stated) {
    String name = service.isEmpty() ? "brought in" : service;
    String note =
        shown.size()
            + (shown.size() == 1 ? " shot" : " shots")
            + Arrays.stream(RepairKind.values())
                .map(kind -> some(shown, s -> kind.wasDoneTo(s.take.fileName()), kind.said()))
                .collect(Collectors.joining())
            + some(shown, s -> fates.get(s.shot) == MarkFate.FRAMED_OUT, "with a mark framed out")
            + some(shown, s -> fates.get(s.shot) == MarkFate.COVERED, "with a mark covered")
            + some(shown, s -> fates.get(s.shot) == MarkFate.SEEN, "with a mark seen");
    return asset("pictures", name, name, note, stated, "");
  }

  private static String some(List<Shown> shown, Predicate<Shown> which, String how) {
    long count = shown.stream().filter(which).count();
    return count == 0 ? "" : ", " + count + " " + how;
  }

  private static Asset asset(
      String kind, String of, String name, String note, Map<String, String> stated, String known) {
    String key = StatedRights.key(kind, of);
    return new Asset(key, kind, name, note, stated.getOrDefault(key, known));
  }

  /** The takes that the film shows, by service; "" for those that were brought in. */
  private static Map<String, List<Shown>> pictures(
      FilmState state, Map<String, TakeEntry> entries) {
    return state
        .film()
        .shots()
        .filter(Placement::hasPicture)
        .filter(p -> entries.containsKey(p.take()) && !entries.get(p.take()).isPlaceholder())
        .map(p -> new Shown(p.id(), entries.get(p.take())))
        .collect(Collectors.groupingBy(s -> s.take.service(), TreeMap::new, Collectors.toList()));
  }

  /** Who is heard, in the order they are first. */
  List<String> voices(FilmState state, Story story) {
    List<SpokenLine> lines = story.script().lines();
    return state.cutting().voice().lines().stream()
        .filter(line -> line.isHeard())
        .map(
            line ->
                lines.stream()
                    .filter(l -> l.number() == line.number())
                    .findFirst()
                    .map(SpokenLine::speaker)
                    .orElse("Narrator"))
        .distinct()
        .toList();
  }
}
