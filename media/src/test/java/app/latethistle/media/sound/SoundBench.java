package app.latethistle.media.sound;

import app.latethistle.core.film.Run;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Edges;
import app.latethistle.core.mix.Effect;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Mixer;
import app.latethistle.core.mix.Part;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;
import app.latethistle.core.sound.VoiceCare;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.media.Container;
import app.latethistle.media.SoundEncoder;
import app.latethistle.media.SoundFiles;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;

/**
 * The sound of a film of half an hour with a song of an hour, two hundred clips that sound and as
 * many lines, in the heap that the process was given: how long a part takes to be played after an
 * edit, how many times real time the whole is mixed, and how much of the heap that took. Then films
 * of three minutes and of thirty with twenty sounds a minute in two rooms and lines that are cared
 * for, and crowded ones with sixty-four: how many times real time, the first time and again, and
 * what of the heap is held near the end.
 */
public final class SoundBench {
  private static final int RATE = Samples.RATE;
  private static final long FILM = 30L * 60 * RATE;
  private static final int CLIPS = 200;
  private static final int EDITS = 9;

  private SoundBench() {}

  public static void main(String[] args) throws IOException {
    Path folder = Files.createTempDirectory("sound-bench");
    try {
      make(folder, "song.m4a", "anoisesrc=c=pink:a=0.3:r=48000:d=3600", "-c:a", "aac");
      make(folder, "clip.wav", "sine=f=330:r=48000:d=6", "-ac", "2");
      make(folder, "line.wav", "sine=f=220:r=48000:d=4", "-ac", "1");
      SoundFiles sounds =
          new SoundFiles(
              Files.createDirectory(folder.resolve("decoded")),
              media ->
                  new SoundFiles.File(
                      folder.resolve(media),
                      media.endsWith("m4a") ? Container.MP4 : Container.WAV));
      long start = System.nanoTime();
      for (String media : List.of("song.m4a", "clip.wav")) {
        sounds.open(media, 2).close();
      }
      sounds.open("line.wav", 1).close();
      System.out.printf(Locale.ROOT, "decoded once: %.1f s%n", since(start));

      List<Double> waits = new ArrayList<>();
      for (int edit = 0; edit < EDITS; edit++) {
        Mix mix = mix(edit);
        SampleRange part = SampleRange.ofLength(FILM / EDITS * edit, SoundEncoder.PART);
        start = System.nanoTime();
        mix.key(part);
        SoundEncoder.part(mix, part, sounds, folder.resolve("part" + edit + ".mp4"));
        waits.add(since(start));
      }
      waits.sort(Comparator.naturalOrder());
      start = System.nanoTime();
      try (Mixer mixer = new Mixer(mix(0), sounds)) {
        mixer.mix(new SampleRange(0, FILM), (stereo, frames) -> {});
      }
      double whole = since(start);
      System.out.printf(
          Locale.ROOT,
          "{\"partSeconds\": %.3f, \"timesRealTime\": %.1f, \"heapPeakMB\": %d, \"heapMB\": %d}%n",
          waits.get(EDITS / 2),
          FILM / (double) RATE / whole,
          heapPeak() >> 20,
          Runtime.getRuntime().maxMemory() >> 20);
      rooms(3, 20, sounds);
      rooms(3, 20, sounds);
      rooms(30, 20, sounds);
      rooms(1, 64, sounds);
      rooms(3, 64, sounds);
    } finally {
      try (Stream<Path> all = Files.walk(folder)) {
        for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
          Files.delete(path);
        }
      }
    }
  }

  private static void rooms(int minutes, int perMinute, SoundFiles sounds) throws IOException {
    Mix mix = inRooms(minutes, perMinute);
    long[] held = {0, 0};
    long start = System.nanoTime();
    try (Mixer mixer = new Mixer(mix, sounds)) {
      mixer.mix(
          new SampleRange(0, mix.length()),
          (stereo, frames) -> {
            held[0] += frames;
            if (held[1] == 0 && held[0] > mix.length() * 9 / 10) {
              System.gc();
              Runtime java = Runtime.getRuntime();
              held[1] = java.totalMemory() - java.freeMemory();
            }
          });
    }
    System.out.printf(
        Locale.ROOT,
        "{\"minutes\": %d, \"soundsInRooms\": %d, \"timesRealTime\": %.1f, \"heldMB\": %d}%n",
        minutes,
        perMinute * minutes,
        60 * minutes / since(start),
        held[1] >> 20);
  }

  /** A song, clips, lines that are cared for, and sounds near and far in two rooms. */
  private static Mix inRooms(int minutes, int perMinute) {
    Random random = new Random(1);
    long length = 60L * minutes * RATE;
    Equaliser bell = new Equaliser(List.of(new Equaliser.Band(Equaliser.Kind.BELL, 900, -4, 1)));
    List<Part> parts = new ArrayList<>();
    parts.add(
        new Part(Bus.MUSIC, "song.m4a", new SampleRange(0, length), new Course.Straight(RATE), 0));
    for (int i = 0; i < 15 * minutes; i++) {
      parts.add(
          new Part(
              Bus.VOICE,
              "line.wav",
              SampleRange.ofLength(4L * RATE * i, 4L * RATE),
              new Course.Tightened(List.of()),
              0,
              Edges.NONE,
              new Effect.Cared(VoiceCare.GENTLE)));
    }
    for (int i = 0; i < perMinute * minutes; i++) {
      Room room = i % 2 == 0 ? Room.NAVE : Room.STAIRWELL;
      parts.add(
          new Part(
              Bus.SOUNDS,
              "clip.wav",
              SampleRange.ofLength(60L * RATE / perMinute * i + random.nextInt(RATE), 3L * RATE),
              new Course.Straight(random.nextInt(RATE)),
              -6,
              Edges.NONE,
              new Effect.Placed(
                  random.nextInt(-60, 60),
                  random.nextInt(60),
                  room,
                  i % 10 == 0 ? bell : Equaliser.NONE)));
    }
    return new Mix(parts, length, 2L * RATE);
  }

  private static Mix mix(int seed) {
    Random random = new Random(seed);
    List<Part> parts = new ArrayList<>();
    parts.add(
        new Part(Bus.MUSIC, "song.m4a", new SampleRange(0, FILM), new Course.Straight(RATE), 0));
    for (int i = 0; i < CLIPS; i++) {
      long at = FILM / CLIPS * i + random.nextInt(RATE);
      parts.add(
          new Part(
              Bus.CLIPS,
              "clip.wav",
              SampleRange.ofLength(at, 5L * RATE),
              new Course.Running(Run.at(100), 0, 6L * RATE, 0, 5L * RATE),
              -6));
      parts.add(
          new Part(
              Bus.VOICE,
              "line.wav",
              SampleRange.ofLength(at + RATE, 4L * RATE),
              new Course.Tightened(List.of()),
              0));
    }
    return new Mix(parts, FILM, 2L * RATE);
  }

  private static void make(Path folder, String name, String source, String... options)
      throws IOException {
    List<String> command =
        new ArrayList<>(List.of("ffmpeg", "-v", "error", "-f", "lavfi", "-i", source));
    command.addAll(List.of(options));
    command.add(folder.resolve(name).toString());
    try {
      if (new ProcessBuilder(command).inheritIO().start().waitFor() != 0) {
        throw new IOException("ffmpeg could not make " + name);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static double since(long start) {
    return (System.nanoTime() - start) / 1e9;
  }

  private static long heapPeak() {
    return ManagementFactory.getMemoryPoolMXBeans().stream()
        .filter(pool -> pool.getType() == MemoryType.HEAP)
        .mapToLong((MemoryPoolMXBean pool) -> pool.getPeakUsage().getUsed())
        .sum();
  }
}
