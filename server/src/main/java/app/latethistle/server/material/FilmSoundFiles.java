package app.latethistle.server.material;

import app.latethistle.core.mix.SoundSource;
import app.latethistle.media.ContentStore;
import app.latethistle.media.SoundFiles;
import java.io.IOException;
import org.springframework.stereotype.Component;

/** The sounds of media in the store, by their hashes. */
@Component
public class FilmSoundFiles implements SoundSource {
  private final SoundFiles files;

  FilmSoundFiles(ContentStore store, Media media) throws IOException {
    files =
        new SoundFiles(
            store.derived("sounds"),
            hash -> {
              Medium medium =
                  media
                      .findById(hash)
                      .orElseThrow(
                          () ->
                              new IOException(
                                  "A sound of the film is not in the store any more; choose"
                                      + " another or bring the file in again."));
              return new SoundFiles.File(store.path(hash), medium.facts().container());
            });
  }

  @Override
  public Sound open(String media, int channels) throws IOException {
    return files.open(media, channels);
  }
}
