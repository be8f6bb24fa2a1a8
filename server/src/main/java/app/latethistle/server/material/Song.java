package app.latethistle.server.material;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.signal.Peaks;
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
import java.util.Arrays;
import tools.jackson.databind.json.JsonMapper;

/** A song as it is kept, with its beats once it has been listened to. */
@Entity
public class Song {
  private static final JsonMapper JSON = JsonMapper.builder().build();

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

  /** A beat grid as it is stored. */
  private record StoredGrid(
      long[] beats, float[] sureness, int beatsPerBar, int firstDownbeat, double confidence) {}

  protected Song() {}

  Song(long productionId, String title, Medium medium) {
    this.productionId = productionId;
    this.title = title;
    this.medium = medium;
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

  /** Its beats; an empty grid until it has been listened to. */
  public BeatGrid grid() {
    if (grid == null) {
      return emptyGrid();
    }
    StoredGrid s = JSON.readValue(grid, StoredGrid.class);
    return new BeatGrid(
        s.beats(), s.sureness(), s.beatsPerBar(), s.firstDownbeat(), s.confidence());
  }

  /** The grid of no song. */
  public static BeatGrid emptyGrid() {
    return new BeatGrid(new long[0], new float[0], 4, 0, 0);
  }

  /** Peak and body of the waveform, half of the bytes each. */
  public Peaks peaks() {
    byte[] both = peaks == null ? new byte[0] : peaks;
    int half = both.length / 2;
    return new Peaks(
        ListenToSong.PEAKS_A_SECOND,
        Arrays.copyOf(both, half),
        Arrays.copyOfRange(both, half, both.length));
  }

  void heard(BeatGrid heard, Peaks drawn) {
    long[] beats = new long[heard.size()];
    float[] sureness = new float[heard.size()];
    for (int i = 0; i < beats.length; i++) {
      beats[i] = heard.sampleOf(i);
      sureness[i] = heard.sureness(i);
    }
    grid =
        JSON.writeValueAsString(
            new StoredGrid(
                beats, sureness, heard.beatsPerBar(), heard.firstDownbeat(), heard.confidence()));
    peaks = Arrays.copyOf(drawn.peak(), drawn.peak().length * 2);
    System.arraycopy(drawn.body(), 0, peaks, drawn.peak().length, drawn.body().length);
    state = State.READY;
  }

  void refuse(String why) {
    reason = why;
    state = State.REFUSED;
  }
}
