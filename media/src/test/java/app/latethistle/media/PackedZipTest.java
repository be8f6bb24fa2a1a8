package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PackedZipTest {
  @TempDir Path folder;

  /** Writes an entry of a zip. */
  private interface Entries {
    void into(ZipArchiveOutputStream zip) throws IOException;
  }

  private Path zip(Entries entries) throws IOException {
    Path file = Files.createTempFile(folder, "packed", ".zip");
    try (OutputStream out = Files.newOutputStream(file);
        ZipArchiveOutputStream zip = new ZipArchiveOutputStream(out)) {
      entries.into(zip);
    }
    return file;
  }

  private static void put(ZipArchiveOutputStream zip, ZipArchiveEntry entry, String text)
      throws IOException {
    zip.putArchiveEntry(entry);
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeArchiveEntry();
  }

  private static void refused(Path file, String reason) {
    assertThatThrownBy(() -> PackedZip.open(file).close())
        .isInstanceOf(RefusedMedia.class)
        .hasMessageContaining(reason);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "../passwd",
        "media/../../x",
        "/etc/x",
        "C:/x",
        "media\\..\\x",
        "a/./b",
        "media/a\u0000b",
        ".."
      })
  void namesThatLeadOutAreRefused(String name) throws IOException {
    refused(zip(z -> put(z, new ZipArchiveEntry(name), "x")), "outside of it");
  }

  @Test
  void linksAreRefused() throws IOException {
    ZipArchiveEntry link = new ZipArchiveEntry("media/link");
    link.setUnixMode(0120777);
    refused(zip(z -> put(z, link, "/etc/passwd")), "a link in it");
  }

  @Test
  void twoEntriesOfOneNameAreRefused() throws IOException {
    refused(
        zip(
            z -> {
              put(z, new ZipArchiveEntry("production.json"), "{}");
              put(z, new ZipArchiveEntry("production.json"), "[]");
            }),
        "two entries of one name");
  }

  @Test
  void tooManyEntriesAreRefused() throws IOException {
    refused(
        zip(
            z -> {
              for (int i = 0; i <= 20_000; i++) {
                put(z, new ZipArchiveEntry("media/" + i), "");
              }
            }),
        "more than 20000 entries");
  }

  @Test
  void whatIsNoZipOrHasNoEndIsRefused() throws IOException {
    Path none = Files.writeString(folder.resolve("none.zip"), "not a zip at all");
    refused(none, "no zip");
    Path whole = zip(z -> put(z, new ZipArchiveEntry("production.json"), "x".repeat(5000)));
    byte[] bytes = Files.readAllBytes(whole);
    Path cut = folder.resolve("cut.zip");
    Files.write(cut, java.util.Arrays.copyOf(bytes, bytes.length / 2));
    refused(cut, "its end is missing");
  }

  /** A gigabyte of zeros in a megabyte: what is read is bounded by what is expected. */
  @Test
  void aBombIsReadNoFurtherThanItSays() throws IOException {
    Path bomb =
        zip(
            z -> {
              z.putArchiveEntry(new ZipArchiveEntry("media/bomb"));
              byte[] zeros = new byte[1 << 20];
              for (int i = 0; i < 1024; i++) {
                z.write(zeros);
              }
              z.closeArchiveEntry();
            });
    assertThat(Files.size(bomb)).isLessThan(2_000_000);
    try (PackedZip zip = PackedZip.open(bomb)) {
      assertThatThrownBy(
              () -> zip.read("media/bomb", 1000).transferTo(OutputStream.nullOutputStream()))
          .isInstanceOf(RefusedMedia.class)
          .hasMessage("media/bomb in the zip has more bytes than it says.");
      assertThatThrownBy(() -> zip.text("media/bomb", 1_000_000))
          .hasMessageContaining("larger than 1 MB");
    }
  }

  @Test
  void anEntryThatIsShorterThanItSaysIsRefused() throws IOException {
    try (PackedZip zip = PackedZip.open(zip(z -> put(z, new ZipArchiveEntry("a"), "four")))) {
      assertThat(zip.read("a", 4).readAllBytes()).hasSize(4);
      assertThatThrownBy(() -> zip.read("a", 5).readAllBytes()).hasMessageContaining("fewer bytes");
      assertThatThrownBy(() -> zip.read("b", 5)).hasMessageContaining("The zip has no b");
    }
  }

  /** Against the JDK's own reader and writer of zips. */
  @Test
  void whatIsWrittenIsReadByOthersAndWhatOthersWriteIsRead() throws IOException {
    Path media = Files.write(folder.resolve("clip"), new byte[100_000]);
    Path ours = folder.resolve("ours.zip");
    try (ZipWriter writer = new ZipWriter(Files.newOutputStream(ours))) {
      writer.text("production.json", "{\"title\": \"Grüße\"}");
      writer.file("media/010 clip.mp4", media);
    }
    try (ZipFile read = new ZipFile(ours.toFile())) {
      assertThat(read.size()).isEqualTo(2);
      assertThat(
              new String(
                  read.getInputStream(read.getEntry("production.json")).readAllBytes(),
                  StandardCharsets.UTF_8))
          .contains("Grüße");
      assertThat(read.getInputStream(read.getEntry("media/010 clip.mp4")).readAllBytes())
          .isEqualTo(Files.readAllBytes(media));
    }
    Path theirs = folder.resolve("theirs.zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(theirs))) {
      out.putNextEntry(new ZipEntry("a/b.txt"));
      out.write("told".getBytes(StandardCharsets.UTF_8));
    }
    try (PackedZip zip = PackedZip.open(theirs)) {
      assertThat(zip.text("a/b.txt", 100)).isEqualTo("told");
    }
  }
}
