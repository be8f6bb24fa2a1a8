package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.pack.Arrivals;
import app.latethistle.server.pack.PackedPart;
import app.latethistle.server.production.Production;
import app.latethistle.server.stored.Deed;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredGuides;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** A production's shots, takes, songs and sounds of its own. What was refused stays behind. */
@ServerOnly
@Component
@Order(PackedMaterial.FIRST)
class PackedMaterial implements PackedPart {
  /** All else speaks of shots and takes. */
  static final int FIRST = 1;

  private final Shots shots;
  private final Takes takes;
  private final Songs songs;
  private final SoundRows sounds;
  private final Media media;
  private final Jobs jobs;
  private final Job prepareTake;

  PackedMaterial(
      Shots shots,
      Takes takes,
      Songs songs,
      SoundRows sounds,
      Media media,
      Jobs jobs,
      @Qualifier("prepare-take") Job prepareTake) {
    this.shots = shots;
    this.takes = takes;
    this.songs = songs;
    this.sounds = sounds;
    this.media = media;
    this.jobs = jobs;
    this.prepareTake = prepareTake;
  }

  record Material(
      List<PackedShot> shots,
      List<PackedTake> takes,
      List<PackedSong> songs,
      List<PackedSound> sounds,
      List<Double> pace) {}

  record PackedShot(
      long id,
      String scene,
      String number,
      String unnumbered,
      String title,
      Long pick,
      boolean byHand,
      Integer storyShot) {}

  record PackedTake(
      long id,
      long shot,
      int number,
      String name,
      String sha256,
      long frames,
      boolean slate,
      String service,
      String prompt,
      long seed,
      double cost,
      boolean rejected,
      boolean forFaults,
      List<String> faults,
      String note,
      String subject,
      JsonNode guides) {}

  record PackedSong(
      String title,
      String sha256,
      boolean used,
      JsonNode beats,
      JsonNode corrections,
      int corrected,
      JsonNode parts,
      JsonNode sung,
      JsonNode pace,
      Double loudness,
      String outline) {}

  record PackedSound(
      String sha256,
      String name,
      String kind,
      List<String> words,
      String source,
      String rights,
      JsonNode facts) {}

  @Override
  public String name() {
    return "material";
  }

  @Override
  public Map<String, String> files(Production production) {
    Map<Long, Shot> known = new HashMap<>();
    shots.findByProductionIdOrderById(production.id()).forEach(s -> known.put(s.id(), s));
    Map<String, String> files = new LinkedHashMap<>();
    for (TakeEntry take : usable(production)) {
      String name =
          take.isPlaceholder()
              ? take.fileName() + " slate.png"
              : (known.get(take.shotId()).label() + " " + take.fileName()).strip();
      files.putIfAbsent(take.medium().hash(), name);
      take.subject().ifPresent(hash -> files.putIfAbsent(hash, name + " subject"));
    }
    listenedTo(production).forEach(s -> files.putIfAbsent(s.medium().hash(), s.title()));
    sounds
        .findByProductionIdOrderById(production.id())
        .forEach(s -> files.put(s.mediumHash(), s.name()));
    return files;
  }

  private List<TakeEntry> usable(Production production) {
    return takes.findByProductionIdOrderById(production.id()).stream()
        .filter(t -> t.state() == State.READY)
        .toList();
  }

  private List<Song> listenedTo(Production production) {
    return songs.findByProductionIdOrderById(production.id()).stream()
        .filter(s -> s.state() == State.READY)
        .toList();
  }

  @Override
  public Object pack(Production production, Set<String> files) {
    return new Material(
        shots.findByProductionIdOrderById(production.id()).stream().map(Shot::packed).toList(),
        usable(production).stream().map(TakeEntry::packed).toList(),
        listenedTo(production).stream()
            .map(s -> s.packed(s.id().equals(production.songId())))
            .toList(),
        sounds.heardIn(production.id()).stream()
            .filter(s -> files.contains(s.mediumHash()))
            .map(SoundRow::packed)
            .toList(),
        production.pace());
  }

  @Override
  public void unpack(Production made, JsonNode part, Arrivals arrivals) {
    Material material = Embedded.as(part, Material.class);
    Map<Long, Shot> here = new HashMap<>();
    for (PackedShot packed : material.shots) {
      Shot shot = shots.save(new Shot(made.id(), packed));
      here.put(packed.id, shot);
      arrivals.call(Arrivals.Kind.SHOT, packed.id, shot.id());
    }
    List<TakeEntry> arrived = new ArrayList<>();
    for (PackedTake packed : material.takes) {
      Shot shot = here.get(packed.shot);
      if (shot == null) {
        throw new Refused(packed.name + " is a take of a shot that did not come with it.");
      }
      TakeEntry take = takes.save(new TakeEntry(shot, packed, entered(arrivals, packed.sha256)));
      if (packed.subject != null) {
        take.cutOut(
            entered(arrivals, packed.subject),
            StoredGuides.read(Embedded.text(packed.guides, StoredGuides.NONE)));
      }
      arrived.add(take);
      arrivals.call(Arrivals.Kind.TAKE, packed.id, take.id());
    }
    for (PackedShot packed : material.shots) {
      Long pick = arrivals.now(Arrivals.Kind.TAKE, packed.pick);
      here.get(packed.id).pick(new Deed.Pick(pick, packed.byHand));
    }
    for (PackedSong packed : material.songs) {
      Song song = songs.save(new Song(made.id(), packed, entered(arrivals, packed.sha256)));
      if (packed.used) {
        made.chooseSong(song.id());
      }
    }
    for (PackedSound packed : material.sounds == null ? List.<PackedSound>of() : material.sounds) {
      // The same sound may lie on the shelf here too.
      if (sounds.of(made.id(), packed.sha256).isEmpty()) {
        sounds.save(new SoundRow(made.id(), packed, entered(arrivals, packed.sha256)));
      }
    }
    made.draw(material.pace == null ? List.of() : material.pace);
    arrived.forEach(take -> jobs.enqueue(prepareTake, take.id()));
  }

  private Medium entered(Arrivals arrivals, String hash) {
    Arrivals.File file = arrivals.file(hash);
    return media.enter(file.stored(), file.facts());
  }
}
