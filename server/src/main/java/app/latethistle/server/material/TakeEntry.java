package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.subject.Guide;
import app.latethistle.core.take.Fault;
import app.latethistle.core.take.Take;
import app.latethistle.media.Container;
import app.latethistle.server.config.Reason;
import app.latethistle.server.stored.Deed;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredGuides;
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
import jakarta.persistence.Table;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.hibernate.annotations.DynamicUpdate;

/** A take as it is kept. */
@Entity
@DynamicUpdate
@Table(name = "take")
public class TakeEntry {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private Long shotId;
  private int number;
  private String fileName;

  @ManyToOne(fetch = FetchType.EAGER)
  @JoinColumn(name = "medium_hash")
  private Medium medium;

  @Enumerated(EnumType.STRING)
  private State state = State.PREPARING;

  private String reason;
  private long frames;
  private long framesDone;
  private long measuredFrames;
  private boolean placeholder;
  private String service = "";

  @Column(columnDefinition = "text")
  private String prompt = "";

  private long seed;
  private double cost;
  private boolean rejected;
  private boolean asideForFaults;
  private String faults = "";
  private String note = "";

  private String subjectHash;

  @Column(columnDefinition = "text")
  private String guides;

  private static final int LONGEST_REASON = 1000;

  protected TakeEntry() {}

  TakeEntry(Shot shot, int number, String fileName, Medium medium, long frames) {
    this.productionId = shot.productionId();
    this.shotId = shot.id();
    this.number = number;
    this.fileName = fileName;
    this.medium = medium;
    this.frames = frames;
  }

  /** One that comes from elsewhere; its light copy is made here. */
  TakeEntry(Shot shot, PackedMaterial.PackedTake packed, Medium medium) {
    this(shot, packed.number(), packed.name(), medium, packed.frames());
    placeholder = packed.slate();
    madeBy(
        new BringIn.Origin(
            Objects.requireNonNullElse(packed.service(), ""),
            Objects.requireNonNullElse(packed.prompt(), ""),
            packed.seed(),
            packed.cost()));
    say(
        new Deed.Said(
            packed.rejected(),
            packed.forFaults(),
            packed.faults() == null
                ? List.of()
                : packed.faults().stream().map(Fault::valueOf).map(Fault::name).toList(),
            Objects.requireNonNullElse(packed.note(), "")));
  }

  PackedMaterial.PackedTake packed() {
    return new PackedMaterial.PackedTake(
        id,
        shotId,
        number,
        fileName,
        medium.hash(),
        frames,
        placeholder,
        service,
        prompt,
        seed,
        cost,
        rejected,
        asideForFaults,
        faults().stream().map(Fault::name).toList(),
        note,
        subject().orElse(null),
        Embedded.of(guides));
  }

  public Long id() {
    return id;
  }

  public Long productionId() {
    return productionId;
  }

  public Long shotId() {
    return shotId;
  }

  public int number() {
    return number;
  }

  public String fileName() {
    return fileName;
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

  /**
   * Its length at the production's rate: expected while it is prepared, counted once it is ready.
   */
  public long frames() {
    return frames;
  }

  public long framesDone() {
    return framesDone;
  }

  /** How many frames have been measured so far. */
  public long measuredFrames() {
    return measuredFrames;
  }

  /** What was measured, once it has been. */
  public Optional<TakeFacts> measured() {
    return medium.measured();
  }

  /** Whether it has been measured. */
  public boolean isMeasured() {
    return medium.isMeasured();
  }

  /** Whether it only holds a shot's time until a take comes. */
  public boolean isPlaceholder() {
    return placeholder;
  }

  /** The service that made it, or "" if it was brought in. */
  public String service() {
    return service;
  }

  public String prompt() {
    return prompt;
  }

  public long seed() {
    return seed;
  }

  /** Credits it cost. */
  public double cost() {
    return cost;
  }

  /** Whether the person put it aside. */
  public boolean isRejected() {
    return rejected;
  }

  /** What the person found wrong, in the order of the faults; a set of the caller's own. */
  public Set<Fault> faults() {
    EnumSet<Fault> set = EnumSet.noneOf(Fault.class);
    for (String name : faults.isEmpty() ? new String[0] : faults.split(",")) {
      set.add(Fault.valueOf(name));
    }
    return set;
  }

  public String note() {
    return note;
  }

  void madeBy(BringIn.Origin origin) {
    service = origin.service();
    prompt = origin.prompt();
    seed = origin.seed();
    cost = origin.cost();
  }

  /** Makes it a slate, or another slate than it was. */
  void holdPlace(String words, Medium slate) {
    placeholder = true;
    fileName = words;
    medium = slate;
    ready(frames);
  }

  /** Puts it aside or back. */
  void putAside(boolean aside) {
    rejected = aside;
    asideForFaults = false;
  }

  /** Notes what is wrong with it: the first fault puts it aside, and the last taken off back. */
  void note(Fault fault, boolean there) {
    Set<Fault> all = faults();
    if (there ? !all.add(fault) : !all.remove(fault)) {
      return;
    }
    if (there && all.size() == 1 && !rejected) {
      rejected = true;
      asideForFaults = true;
    } else if (all.isEmpty() && asideForFaults) {
      putAside(false);
    }
    faults = all.stream().map(Fault::name).collect(Collectors.joining(","));
  }

  void note(String words) {
    note = words;
  }

  /** What a person says of it. */
  Deed.Said said() {
    List<String> names = faults().stream().map(Fault::name).toList();
    return new Deed.Said(rejected, asideForFaults, names, note);
  }

  void say(Deed.Said said) {
    rejected = said.rejected();
    asideForFaults = said.forFaults();
    faults = String.join(",", said.faults());
    note = said.note();
  }

  void moveTo(Shot shot, int newNumber) {
    shotId = shot.id();
    number = newNumber;
  }

  void ready(long counted) {
    frames = counted;
    framesDone = counted;
    state = State.READY;
  }

  void refuse(String why) {
    reason = Reason.within(why, LONGEST_REASON);
    state = State.REFUSED;
  }

  /**
   * Lets it be prepared once more.
   *
   * @throws IllegalArgumentException if it was not refused
   */
  void again() {
    if (state != State.REFUSED) {
      throw new Refused(fileName + " was not refused.");
    }
    state = State.PREPARING;
    reason = null;
    framesDone = 0;
  }

  /** Notes that it can be used but could not be measured. */
  void notMeasured(String why) {
    reason = Reason.within("It could not be measured: " + why, LONGEST_REASON);
  }

  /** What its file is if it has a sound of its own, or null. */
  public Container sound() {
    return medium.facts().sound() ? medium.facts().container() : null;
  }

  /** The take as core knows it. */
  public Take take() {
    return new Take(
        Long.toString(id),
        medium.hash(),
        frames,
        medium.facts().shape().orElseThrow(),
        subject(),
        measured().map(TakeFacts::marks).orElse(List.of()));
  }

  /** The hash of what was cut out of it, if something was. */
  public Optional<String> subject() {
    return Optional.ofNullable(subjectHash);
  }

  /** What was drawn on its pictures to say what its subject is. */
  public List<Guide> guides() {
    return guides == null ? List.of() : StoredGuides.read(guides);
  }

  /** Keeps what was cut out of it, in place of what was before. */
  public void cutOut(Medium file, List<Guide> by) {
    subjectHash = file.hash();
    guides = StoredGuides.write(by);
  }

  /** Nothing is cut out of it any more. */
  public void whole() {
    subjectHash = null;
    guides = null;
  }
}
