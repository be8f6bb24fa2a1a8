package app.latethistle.server.material;

import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.Gathering;
import app.latethistle.server.stored.Deed;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.Optional;

/** A shot: takes gather under it, one of them its pick. */
@Entity
public class Shot {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long productionId;
  private String scene;
  private String number;
  private String unnumbered;
  private String title;
  private Long pickId;
  private boolean pickedByHand;
  private Integer storyShot;

  protected Shot() {}

  public Shot(long productionId, Gathering.ShotKey key, String title) {
    this.productionId = productionId;
    this.scene = key.scene();
    this.number = key.number();
    this.unnumbered = key.unnumbered();
    this.title = title;
  }

  /** One that comes from elsewhere; its pick is not known yet. */
  Shot(long productionId, PackedMaterial.PackedShot packed) {
    this.productionId = productionId;
    this.scene = packed.scene();
    this.number = packed.number();
    this.unnumbered = packed.unnumbered();
    this.title = packed.title();
    this.storyShot = packed.storyShot();
  }

  PackedMaterial.PackedShot packed() {
    return new PackedMaterial.PackedShot(
        id, scene, number, unnumbered, title, pickId, pickedByHand, storyShot);
  }

  public Long id() {
    return id;
  }

  public Long productionId() {
    return productionId;
  }

  public Gathering.ShotKey key() {
    return new Gathering.ShotKey(scene, number, unnumbered);
  }

  /** What the person calls it: "2/11" in a scene, "080" by three digits, or "" without a number. */
  public String label() {
    String padded = number.matches("\\d{1,2}") ? "0".repeat(3 - number.length()) + number : number;
    return scene.isEmpty() ? padded : scene + "/" + padded;
  }

  public String title() {
    return title;
  }

  /** The pick's id, or null. */
  public Long pickId() {
    return pickId;
  }

  /** The id of the story's shot it stands for, or null. */
  public Integer storyShot() {
    return storyShot;
  }

  /** What the story wants of it, if it stands for one of the story's. */
  public Optional<StoryShot> wantedIn(Story story) {
    return story.shots().shots().stream()
        .filter(s -> storyShot != null && s.id() == storyShot)
        .findFirst();
  }

  /** Makes it stand for a shot of the story, with its number; a title is kept if that has none. */
  public void follow(int id, Gathering.ShotKey key, String newTitle) {
    storyShot = id;
    scene = key.scene();
    number = key.number();
    unnumbered = key.unnumbered();
    title = newTitle.isEmpty() ? title : newTitle;
  }

  /** Notes that the story has it no more. */
  public void leaveStory() {
    storyShot = null;
  }

  void rename(String newTitle) {
    title = newTitle;
  }

  /** The pick, and whether a person chose it. */
  Deed.Pick pick() {
    return new Deed.Pick(pickId, pickedByHand);
  }

  void pick(Deed.Pick pick) {
    pickId = pick.take();
    pickedByHand = pick.byHand();
  }

  /** What it is called in a sentence: "shot 080", or by its title where it has no number. */
  public String called() {
    return label().isEmpty() ? "“" + title + "”" : "shot " + label();
  }

  /** Whether a person chose the pick, so that it stays when other takes come in. */
  boolean isPickedByHand() {
    return pickedByHand;
  }

  /** Makes a take the pick for now. */
  void pickForNow(Long takeId) {
    pickId = takeId;
    pickedByHand = false;
  }

  /** Makes a take the pick because a person says so. */
  void pickByHand(Long takeId) {
    pickId = takeId;
    pickedByHand = true;
  }
}
