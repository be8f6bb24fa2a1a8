package app.latethistle.server.master;

import app.latethistle.core.mix.SoundSource;
import app.latethistle.core.render.Program;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Originals;
import app.latethistle.media.SoundEncoder;
import app.latethistle.server.material.FilmSoundFiles;
import app.latethistle.server.material.Media;
import app.latethistle.server.stored.StoredOrder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Turns what was ordered into renders over the files of the store. */
@Component
class MasterOrders {
  private final Media media;
  private final ContentStore store;
  private final SoundSource sounds;
  private final Path masters;
  private final Path segments;

  MasterOrders(Media media, ContentStore store, FilmSoundFiles sounds) throws IOException {
    this.media = media;
    this.store = store;
    this.sounds = sounds;
    masters = store.derived("masters");
    segments = store.derived("segments");
  }

  /** Where a master's file lies. */
  Path fileOf(long id) {
    return masters.resolve(id + ".mp4");
  }

  /** Where a master's sound lies until it is joined with the pictures. */
  Path soundOf(long id) {
    return masters.resolve(id + "-sound.m4a");
  }

  /** The render of a master. */
  MasterRender render(Master master) {
    Program program = master.order().program();
    Map<String, Originals.Original> files = new HashMap<>();
    for (String hash : program.media()) {
      files.put(
          hash,
          new Originals.Original(store.path(hash), media.findById(hash).orElseThrow().facts()));
    }
    return new MasterRender(
        program, new Originals(files, program.rate()), master.quality(), segments);
  }

  /** Makes the sound of a master, unless it is there. */
  void makeSound(Master master) throws IOException {
    Path sound = soundOf(master.id());
    if (Files.exists(sound)) {
      return;
    }
    StoredOrder order = master.order();
    Path part = ContentStore.partOf(sound);
    try {
      SoundEncoder.m4a(order.mix(), sounds, part);
      ContentStore.moveInto(part, sound);
    } finally {
      Files.deleteIfExists(part);
    }
  }
}
