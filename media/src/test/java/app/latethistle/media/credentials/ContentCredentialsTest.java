package app.latethistle.media.credentials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.authlete.cbor.CBORDecoder;
import com.authlete.cbor.CBORTaggedItem;
import com.authlete.cose.COSESign1;
import com.authlete.cose.COSESign1Builder;
import com.authlete.cose.COSEVerifier;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Signed statements in files. What the C2PA's own reader makes of them is asked in the server's
 * tests, where it is at hand.
 */
class ContentCredentialsTest {
  @TempDir private Path folder;
  private ContentCredentials credentials;

  @BeforeEach
  void makesAKey() throws IOException {
    credentials = new ContentCredentials(folder);
  }

  private Path film(String name, String... options) throws IOException, InterruptedException {
    Path file = folder.resolve(name);
    List<String> command =
        new ArrayList<>(
            List.of("ffmpeg", "-v", "error", "-f", "lavfi", "-i", "testsrc=d=2:s=160x120"));
    command.addAll(List.of("-f", "lavfi", "-i", "sine=d=2"));
    command.addAll(List.of(options));
    command.add(file.toString());
    assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
    return file;
  }

  private static String decoded(Path film) throws IOException {
    return new String(
        new ProcessBuilder("ffmpeg", "-v", "error", "-i", film.toString(), "-f", "framemd5", "-")
            .redirectErrorStream(true)
            .start()
            .getInputStream()
            .readAllBytes(),
        StandardCharsets.UTF_8);
  }

  private static List<String> boxes(Path film) throws IOException {
    try (FileChannel file = FileChannel.open(film)) {
      return BoxedFile.boxes(file).stream().map(BoxedFile.Box::type).toList();
    }
  }

  /** Every picture and sample is where it was, whether the description is first or last. */
  @Test
  void aFilmPlaysAsBefore() throws Exception {
    for (String flags : List.of("+faststart", "0")) {
      Path film = film("film" + flags + ".mp4", "-movflags", flags);
      String before = decoded(film);
      credentials.put(film, "Water road");
      assertThat(decoded(film)).isEqualTo(before).contains("1,");
      assertThat(boxes(film)).startsWith("ftyp", "uuid").endsWith("uuid");
      assertThat(Files.readString(film, StandardCharsets.ISO_8859_1))
          .contains("Water road", "urn:c2pa:", "DigitalSourceType");
    }
  }

  /** Places are told in four bytes, and in eight where a film is large. */
  @Test
  void placesMoveAlike() throws IOException {
    byte[] second = Jumbf.box("uuid", new byte[100]);
    byte[] places = ByteBuffer.allocate(16).putInt(4, 2).putInt(8, 700).putInt(12, -300).array();
    byte[] wide = ByteBuffer.allocate(16).putInt(4, 1).putLong(8, 5_000_000_000L).array();
    byte[] film = written(Jumbf.box("stco", places), Jumbf.box("co64", wide), second);
    String boxes = new String(film, StandardCharsets.ISO_8859_1);
    ByteBuffer read = ByteBuffer.wrap(film);
    int four = boxes.indexOf("stco") + 12;
    assertThat(read.getInt(four)).isEqualTo(808);
    assertThat(read.getInt(four + 4)).isEqualTo(-192);
    assertThat(read.getLong(boxes.indexOf("co64") + 12)).isEqualTo(5_000_000_108L);
    assertThat(boxes).contains("mdatsamples").endsWith("uuidlast");
    byte[] tooFar = ByteBuffer.allocate(12).putInt(4, 1).putInt(8, -100).array();
    assertThatThrownBy(() -> written(Jumbf.box("stco", tooFar), new byte[0], second))
        .hasMessageContaining("4 GB");
  }

  private byte[] written(byte[] one, byte[] other, byte[] second) throws IOException {
    byte[] description = Jumbf.box("stbl", joined(one, other));
    for (String around : List.of("minf", "mdia", "trak", "moov")) {
      description = Jumbf.box(around, description);
    }
    byte[] samples = Jumbf.box("mdat", "samples".getBytes(StandardCharsets.ISO_8859_1));
    byte[] film = joined(Jumbf.box("ftyp", new byte[8]), joined(description, samples));
    Path target = folder.resolve("written");
    byte[] last = Jumbf.box("uuid", "last".getBytes(StandardCharsets.ISO_8859_1));
    BoxedFile.insert(Files.write(folder.resolve("boxes"), film), second, last, target);
    return Files.readAllBytes(target);
  }

  private static byte[] joined(byte[] one, byte[] other) {
    return ByteBuffer.allocate(one.length + other.length).put(one).put(other).array();
  }

  @Test
  void aBrokenFileIsRefusedAndStays() throws IOException {
    byte[] broken = "\0\0\1\0ftypisom".getBytes(StandardCharsets.ISO_8859_1);
    Path film = Files.write(folder.resolve("broken.mp4"), broken);
    assertThatThrownBy(() -> credentials.put(film, "x"))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("byte 0");
    try (Stream<Path> files = Files.list(folder)) {
      assertThat(files.map(f -> f.getFileName().toString()))
          .containsExactlyInAnyOrder("broken.mp4", "signing.p12");
    }
  }

  /** A picture is as it was; what is said of the segment's place and length is true. */
  @Test
  void aJpegShowsWhatItDid() throws Exception {
    Path file = film("one.jpg", "-frames:v", "1", "-map", "0:v");
    byte[] jpeg = Files.readAllBytes(file);
    byte[] signed = credentials.in(jpeg, "Water road");
    assertThat(ImageIO.read(new ByteArrayInputStream(signed)).getRGB(40, 40))
        .isEqualTo(ImageIO.read(new ByteArrayInputStream(jpeg)).getRGB(40, 40));
    ByteBuffer head = ByteBuffer.wrap(signed);
    assertThat(head.getShort(2)).as("the packet comes first").isEqualTo((short) 0xffe1);
    int length = 2 + Short.toUnsignedInt(head.getShort(4));
    assertThat(head.getShort(2 + length)).as("then what is signed").isEqualTo((short) 0xffeb);
  }

  /** The key that was made is found again, and what it signs holds by its certificate. */
  @Test
  void aKeyIsMadeOnce() throws Exception {
    SigningKey again = SigningKey.keptIn(folder);
    byte[] claim = "said".getBytes(StandardCharsets.UTF_8);
    CBORTaggedItem signed = (CBORTaggedItem) new CBORDecoder(again.sign(claim)).next();
    assertThat(signed.getTagNumber()).isEqualTo(18);
    COSESign1 read = (COSESign1) signed.getTagContent();
    COSEVerifier verifier =
        new COSEVerifier(SigningKey.keptIn(folder).certificate().getPublicKey());
    COSESign1 whole =
        new COSESign1Builder()
            .protectedHeader(read.getProtectedHeader())
            .unprotectedHeader(read.getUnprotectedHeader())
            .payload(claim)
            .signature(read.getSignature())
            .build();
    assertThat(verifier.verify(whole)).isTrue();
    assertThat(Files.getPosixFilePermissions(folder.resolve("signing.p12"))).hasSize(2);
  }
}
