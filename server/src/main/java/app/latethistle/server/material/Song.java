package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.music.SongCorrection;
import app.latethistle.core.music.SongParts;
import app.latethistle.core.music.SungPart;
import app.latethistle.core.signal.Peaks;
import app.latethistle.server.config.Reason;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredCorrections;
import app.latethistle.server.stored.StoredSong;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import org.hibernate.annotations.DynamicUpdate;

/** A song as it is kept, with its beats once it has been listened to. */
@Entity
@DynamicUpdate
public class Song {

  private static final double SLOWEST = 0.25;
  private static final double QUICKEST = 4;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String title;

  @ManyToOne(fetch = FetchType.EAGER)
  @JoinColumn(name = "medium_hash")
  private Medium medium;

  @Enumerated(EnumType.STRING)
  private State state = State.PREPARING;

  private String reason;

  @Column(columnDefinition = "text")
  private String grid;

  private byte[] peaks;

  private Double loudness;
  private double listened;

  @Column(columnDefinition = "text")
  private String corrections = "[]";

  /** Sections and key moments, as heard. */
  @Column(columnDefinition = "text")
  private String parts = "{\"sections\":[],\"moments\":[]}";

  /** Where somebody sings, as the one who made it tells. */
  @Column(columnDefinition = "text")
  private String sung = "[]";

  /** How quickly each section is to move in the film, as drawn. */
  @Column(columnDefinition = "text")
  private String pace = "[]";

  /** How many of the corrections are in force; the others were taken back. */
  private int corrected;

  private static final int LONGEST_REASON = 1000;

  protected Song() {}

  Song(long productionId, String title, Medium medium) {
    this.productionId = productionId;
    this.title = title;
    this.medium = medium;
  }

  /** One that comes from elsewhere, with what was heard of it there. */
  Song(long productionId, PackedMaterial.PackedSong packed, Medium medium) {
    this(productionId, packed.title(), medium);
    grid = Embedded.text(packed.beats(), null);
    corrections = Embedded.text(packed.corrections(), corrections);
    corrected = packed.corrected();
    parts = Embedded.text(packed.parts(), parts);
    sung = Embedded.text(packed.sung(), sung);
    pace = Embedded.text(packed.pace(), pace);
    loudness = packed.loudness();
    peaks = packed.outline() == null ? null : Base64.getDecoder().decode(packed.outline());
    if (corrected < 0 || corrected > corrections().size()) {
      throw new Refused(title + " comes with corrections that do not fit each other.");
    }
    sections();
    sung();
    moments();
    drawn();
    state = State.READY;
    listened = 1;
  }

  PackedMaterial.PackedSong packed(boolean used) {
    return new PackedMaterial.PackedSong(
        title,
        medium.hash(),
        used,
        Embedded.of(grid),
        Embedded.of(corrections),
        corrected,
        Embedded.of(parts),
        Embedded.of(sung),
        Embedded.of(pace),
        loudness,
        peaks == null ? null : Base64.getEncoder().encodeToString(peaks));
  }

  public Long id() {
    return id;
  }

  public Long productionId() {
    return productionId;
  }

  public String title() {
    return title;
  }

  public Medium medium() {
    return medium;
  }

  public State state() {
    return state;
  }

  public String reason() {
    return reason;
  }

  /** Its beats as heard and put right; an empty grid until it has been listened to. */
  public BeatGrid grid() {
    if (grid == null) {
      return BeatGrid.EMPTY;
    }
    return SongCorrection.all(StoredSong.readGrid(grid), inForce());
  }

  /** Its sections, each beginning where the nearest downbeat is now. */
  public List<Section> sections() {
    BeatGrid now = grid();
    List<Section> heard = StoredSong.readParts(parts).sections();
    return SongCorrection.allSections(heard, inForce()).stream()
        .map(section -> section.onBars(now))
        .toList();
  }

  /** Where somebody sings, as told and put right. */
  public List<SungPart> sung() {
    return SongCorrection.allSung(StoredSong.readSung(sung), inForce());
  }

  /**
   * How quickly each section is to move in the film, 1 in the mean, as drawn; empty if none was
   * drawn for the sections as they are now.
   */
  public List<Double> pace() {
    List<Double> drawn = StoredSong.readPace(pace);
    return drawn.size() == sections().size() ? drawn : List.of();
  }

  /** The pace as it is kept, whether or not the sections are still the ones it was drawn for. */
  List<Double> drawn() {
    return StoredSong.readPace(pace);
  }

  /** Puts back a pace that was kept before. */
  void drawAgain(List<Double> speeds) {
    pace = StoredSong.writePace(speeds);
  }

  /**
   * Keeps how quickly each section is to move; nothing for none.
   *
   * @throws IllegalArgumentException if there are not as many as sections, or one is not 0.25 to 4
   */
  void draw(List<Double> speeds) {
    if (!speeds.isEmpty() && speeds.size() != sections().size()) {
      throw new Refused(
          title + " has " + sections().size() + " sections now; draw the pace again.");
    }
    requireSpeeds(speeds);
    pace = StoredSong.writePace(speeds);
  }

  /**
   * @throws IllegalArgumentException if a speed is not 0.25 to 4
   */
  static void requireSpeeds(List<Double> speeds) {
    for (double speed : speeds) {
      if (!(speed >= SLOWEST && speed <= QUICKEST)) {
        throw new Refused(
            "A part moves 0.25 to 4 times as quickly as the film, not "
                + Refused.number(speed)
                + ".");
      }
    }
  }

  /** How loud it is as a whole, in LUFS; null if it was not measured. */
  public Double loudness() {
    return loudness;
  }

  /** Its key moments. */
  public List<KeyMoment> moments() {
    return StoredSong.readParts(parts).moments();
  }

  /** All that is known of it by its time, as heard and put right. */
  SongParts parts() {
    return new SongParts(new SongAnalysis(grid(), sections(), moments()), sung());
  }

  private List<SongCorrection> corrections() {
    return StoredCorrections.read(corrections);
  }

  private List<SongCorrection> inForce() {
    return corrections().subList(0, corrected);
  }

  /**
   * @throws IllegalArgumentException if its beats are not known yet
   */
  void requireListenedTo() {
    if (state != State.READY) {
      throw new Refused(title + " has not been listened to yet; wait for its beats.");
    }
  }

  /** Keeps what the one who made it tells of where somebody sings. */
  void sungIn(List<SungPart> told) {
    sung = StoredSong.writeSung(told);
  }

  /** Changes whenever the corrections in force do. */
  public long correctionsMark() {
    return 31L * corrections.hashCode() + corrected;
  }

  /** Puts something right; what was taken back before is forgotten. */
  void correct(SongCorrection correction) {
    List<SongCorrection> kept = new ArrayList<>(inForce());
    kept.add(correction);
    corrections = StoredCorrections.write(kept);
    corrected = kept.size();
  }

  /** Takes the last correction back, or makes one again. */
  void step(int by) {
    corrected += by;
  }

  /** Peak and body of the waveform, half of the bytes each. */
  public Peaks peaks() {
    byte[] both = peaks == null ? new byte[0] : peaks;
    int half = both.length / 2;
    return new Peaks(
        HeardSong.PEAKS_A_SECOND,
        Arrays.copyOf(both, half),
        Arrays.copyOfRange(both, half, both.length));
  }

  void heard(HeardSong listened) {
    BeatGrid heard = listened.analysis().grid();
    parts =
        StoredSong.write(
            new StoredSong.Parts(listened.analysis().sections(), listened.analysis().moments()));
    grid = StoredSong.write(heard);
    loudness = listened.loudness();
    Peaks drawn = listened.peaks();
    peaks = Arrays.copyOf(drawn.peak(), drawn.peak().length * 2);
    System.arraycopy(drawn.body(), 0, peaks, drawn.peak().length, drawn.body().length);
    state = State.READY;
  }

  /** How much of listening to it is done, 0 to 1. */
  public double listened() {
    return listened;
  }

  void listened(double share) {
    listened = Math.max(0, Math.min(1, share));
  }

  /**
   * Has it not be listened to any more.
   *
   * @throws IllegalArgumentException if nobody listens to it
   */
  void stop() {
    if (state != State.PREPARING) {
      throw new Refused(title + " is not being listened to.");
    }
    refuse("Stopped before it was heard to its end.");
  }

  /**
   * Lets it be listened to once more.
   *
   * @throws IllegalArgumentException if it was not refused
   */
  void again() {
    if (state != State.REFUSED) {
      throw new Refused(title + " was not refused.");
    }
    state = State.PREPARING;
    listened = 0;
    reason = null;
  }

  void refuse(String why) {
    reason = Reason.within(why, LONGEST_REASON);
    state = State.REFUSED;
  }
}
