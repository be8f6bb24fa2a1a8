package app.latethistle.cli;

import app.latethistle.core.film.Resolved;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.type.Faces;
import app.latethistle.core.work.AllCores;
import app.latethistle.document.FaceForm;
import app.latethistle.document.FilmDocument;
import app.latethistle.document.MediumForm;
import app.latethistle.document.TakeForm;
import app.latethistle.media.ClipCheck;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Originals;
import app.latethistle.media.OwnFace;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.ShippedFaces;
import app.latethistle.media.SoundFiles;
import app.latethistle.media.SoundMeasure;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The files of a document, found and looked into.
 *
 * @param document the same with each file named by its hash
 * @param files each by its hash
 * @param takes by id, with their lengths and shapes
 * @param sounding ids of takes whose own sound may be heard
 */
record DocumentFiles(
    FilmDocument document,
    Map<String, Originals.Original> files,
    Map<String, Take> takes,
    Set<String> sounding) {

  /**
   * Finds a document's files.
   *
   * @param folder that paths in it start from
   * @param store in which files are kept by their hashes, as a server's data has it
   * @throws IOException if one is missing, is another one or cannot be decoded; it is named
   */
  static DocumentFiles of(FilmDocument document, Path folder, Optional<Path> store)
      throws IOException {
    Map<MediumForm, MediumForm> names = new HashMap<>();
    Map<String, Originals.Original> files = new HashMap<>();
    for (Found found : AllCores.of(document.media(), m -> found(m, folder, store))) {
      names.put(found.medium, MediumForm.ofHash(found.hash));
      files.put(found.hash, found.original);
    }
    FilmDocument named = document.naming(names);
    FrameRate rate = document.frameRate();
    Map<String, Take> takes = new LinkedHashMap<>();
    Set<String> sounding = new LinkedHashSet<>();
    for (Take take :
        AllCores.of(named.takes(), t -> take(t, files.get(t.media().sha256()), rate))) {
      takes.put(take.id(), take);
    }
    for (TakeForm take : named.takes()) {
      boolean sounds = files.get(take.media().sha256()).facts().sound();
      if (sounds && !Boolean.FALSE.equals(take.sound())) {
        sounding.add(take.id());
      }
    }
    return new DocumentFiles(named, files, takes, sounding);
  }

  /**
   * Reads a document.
   *
   * @throws IOException if it is none, naming the file and what is wrong in it
   */
  static FilmDocument read(Path document) throws IOException {
    try {
      return FilmDocument.read(Files.readString(document));
    } catch (NoSuchFileException e) {
      throw new IOException(document + ": there is no such file.", e);
    } catch (IOException e) {
      throw new IOException(document + ": " + e.getMessage(), e);
    }
  }

  /**
   * What its words are set in.
   *
   * @throws IOException if a face is no font that can be used; it is named
   */
  Faces faces() throws IOException {
    List<OwnFace> own = new ArrayList<>();
    for (FaceForm form : document.ownFaces()) {
      try {
        own.add(OwnFace.read(form.family(), new ByteArrayInputStream(form.bytes())));
      } catch (RefusedMedia e) {
        throw new IOException("The face " + form.family() + ": " + e.getMessage(), e);
      }
    }
    return OwnFace.with(ShippedFaces.all(), own);
  }

  /** Where its sounds are. */
  SoundFiles.Finder sounds() {
    return hash -> new SoundFiles.File(files.get(hash).path(), files.get(hash).facts().container());
  }

  /** What is heard of the film; its song is listened to where somebody speaks. */
  Mix mix(Resolved film) {
    return document.mix(film, sounding, this::songLoudness);
  }

  private LoudnessTrace songLoudness() {
    Originals.Original song = files.get(document.song().media().sha256());
    try {
      return SoundMeasure.trace(song.path(), song.facts().container());
    } catch (IOException e) {
      throw new UncheckedIOException(song.path() + ": the song was not measured.", e);
    }
  }

  /** A file, what it holds, and the hash of its bytes. */
  private record Found(MediumForm medium, String hash, Originals.Original original) {}

  private static Found found(MediumForm medium, Path folder, Optional<Path> store)
      throws IOException {
    Path file = find(medium, folder, store);
    String hash = medium.path() == null ? medium.sha256() : ContentStore.hash(file);
    if (medium.sha256() != null && !medium.sha256().equals(hash)) {
      throw new IOException(
          file
              + ": this is another file than the document was made with. Put the one back whose"
              + " SHA-256 is "
              + medium.sha256()
              + ", or take the sha256 out of the document.");
    }
    return new Found(medium, hash, new Originals.Original(file, facts(file)));
  }

  private static Take take(TakeForm take, Originals.Original original, FrameRate rate)
      throws IOException {
    MediaFacts facts = original.facts();
    if (facts.shape().isEmpty()) {
      throw new IOException(
          original.path() + ": there is no picture in it, and take '" + take.id() + "' shows it.");
    }
    try {
      long frames =
          take.frames() == null ? ClipCheck.frames(original.path(), facts, rate) : take.frames();
      return new Take(
          take.id(),
          take.media().sha256(),
          frames,
          facts.shape().get(),
          Optional.ofNullable(take.subject()).map(MediumForm::sha256),
          take.boxes());
    } catch (RefusedMedia e) {
      throw new IOException(original.path() + ": " + e.getMessage(), e);
    }
  }

  private static MediaFacts facts(Path file) throws IOException {
    try {
      return Probe.probe(file);
    } catch (IOException e) {
      throw new IOException(file + ": " + e.getMessage(), e);
    }
  }

  private static Path find(MediumForm medium, Path folder, Optional<Path> store)
      throws IOException {
    Path file;
    if (medium.path() != null) {
      file = folder.resolve(medium.path());
    } else if (store.isPresent()) {
      file = ContentStore.path(store.get(), medium.sha256());
    } else {
      throw new IOException(
          "The document names the file "
              + medium.sha256()
              + " by its hash alone; name the folder that has it with --store.");
    }
    if (!Files.isRegularFile(file)) {
      throw new IOException(file + ": there is no such file, and the document uses it.");
    }
    return file;
  }
}
