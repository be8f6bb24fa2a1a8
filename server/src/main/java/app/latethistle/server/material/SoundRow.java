package app.latethistle.server.material;

import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.signal.SoundFacts;
import app.latethistle.core.time.SampleRange;
import app.latethistle.server.stored.Embedded;
import app.latethistle.server.stored.StoredSound;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.util.List;
import java.util.Objects;

/** A sound that can be laid; one of no production lies on the shelf for all. */
@Entity
@Table(name = "sound")
public class SoundRow {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "production_id")
  private Long productionId;

  @Column(name = "medium_hash")
  private String mediumHash;

  private String name;
  private String kind;
  private String words;
  private String source;
  private String rights;

  @Column(columnDefinition = "text")
  private String facts;

  @Transient private SoundFacts read;

  protected SoundRow() {}

  SoundRow(Long productionId, String mediumHash, Said said, SoundFacts facts) {
    this.productionId = productionId;
    this.mediumHash = mediumHash;
    name = said.name;
    kind = said.kind;
    words = String.join(" ", said.words);
    source = said.source;
    rights = said.rights;
    this.facts = StoredSound.write(facts);
  }

  /** One that comes from elsewhere, with what was measured of it there. */
  SoundRow(long productionId, PackedMaterial.PackedSound packed, Medium medium) {
    this(
        productionId,
        medium.hash(),
        new Said(
            packed.name(),
            packed.kind(),
            packed.words() == null ? List.of() : packed.words(),
            Objects.requireNonNullElse(packed.source(), ""),
            Objects.requireNonNullElse(packed.rights(), "")),
        StoredSound.read(Embedded.text(packed.facts(), "{}")));
  }

  PackedMaterial.PackedSound packed() {
    return new PackedMaterial.PackedSound(
        mediumHash, name, kind, words(), source, rights, Embedded.of(facts));
  }

  /**
   * What is said of a sound.
   *
   * @param kind HIT, BED, RISER or MOVE
   * @param words it is found by beside its name
   * @param source where it comes from
   */
  record Said(String name, String kind, List<String> words, String source, String rights) {}

  public Long id() {
    return id;
  }

  /** The production it is of; null for the shelf's. */
  Long productionId() {
    return productionId;
  }

  String mediumHash() {
    return mediumHash;
  }

  public String name() {
    return name;
  }

  public String kind() {
    return kind;
  }

  List<String> words() {
    return words.isEmpty() ? List.of() : List.of(words.split(" "));
  }

  public String source() {
    return source;
  }

  public String rights() {
    return rights;
  }

  public SoundFacts facts() {
    if (read == null) {
      read = StoredSound.read(facts);
    }
    return read;
  }

  /** What of it is laid: all of it, landing where it strikes; a riser lands at its end. */
  public SoundMaterial material() {
    SoundFacts of = facts();
    long lands =
        switch (kind) {
          case "RISER" -> of.body().end();
          case "BED" -> 0;
          default -> of.landing();
        };
    return new SoundMaterial.OfFile(
        mediumHash, name, new SampleRange(0, of.length()), lands, of.loop());
  }
}
