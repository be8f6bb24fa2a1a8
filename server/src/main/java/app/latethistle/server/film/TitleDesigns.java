package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.server.stored.StoredDesign;
import java.util.List;
import org.springframework.stereotype.Component;

/** What titles can begin with: the person's own designs, and those that ship. */
@Component
class TitleDesigns {
  private static final int MOST = 200;
  private static final int LONGEST_NAME = 40;

  private final DesignRows rows;

  TitleDesigns(DesignRows rows) {
    this.rows = rows;
  }

  /** The person's own, by their names. */
  List<Design> own() {
    return rows.findAllByOrderByName().stream().map(TitleDesigns::read).toList();
  }

  /**
   * The design of a name.
   *
   * @throws IllegalArgumentException if there is none, with a sentence for the person
   */
  Design named(String name) {
    return rows.findById(name).map(TitleDesigns::read).orElseGet(() -> Designs.named(name));
  }

  /**
   * Keeps a design under a name of the person's; one of theirs that had it is gone.
   *
   * @throws IllegalArgumentException if the name cannot be had, or there are too many
   */
  void keep(String called, Design design) {
    String name = called == null ? "" : called.strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw new Refused("Give the design a name of up to " + LONGEST_NAME + " letters.");
    }
    if (Designs.ALL.stream().anyMatch(d -> d.name().equalsIgnoreCase(name))) {
      throw new Refused(
          "“" + name + "” is a design that ships with the application; take another name.");
    }
    if (!rows.existsById(name) && rows.count() >= MOST) {
      throw new Refused("There are " + MOST + " designs of your own; take one off first.");
    }
    Design own =
        new Design(name, design.words(), design.lettering(), design.box(), design.movement());
    rows.save(new DesignRow(name, StoredDesign.write(own)));
  }

  /** Takes one of the person's own off the list; titles that began with it stay. */
  void remove(String name) {
    if (!rows.existsById(name)) {
      throw new Refused("There is no design “" + name + "” of your own.");
    }
    rows.deleteById(name);
  }

  private static Design read(DesignRow row) {
    return StoredDesign.read(row.design());
  }
}
