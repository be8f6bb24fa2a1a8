package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ContentStoreTest {
  @TempDir Path folder;

  private static InputStream bytes(String text) {
    return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
  }

  private List<Path> files() throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      return all.filter(Files::isRegularFile).toList();
    }
  }

  @Test
  void namesFilesByTheirBytesAndKeepsThemOnce() throws IOException {
    ContentStore store = new ContentStore(folder);
    ContentStore.Stored first = store.put(bytes("abc"));
    ContentStore.Stored again = store.put(bytes("abc"));
    // FIPS 180-4, SHA-256 of "abc".
    assertThat(first.hash())
        .isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    assertThat(first.isNew()).isTrue();
    assertThat(again.isNew()).isFalse();
    assertThat(again.path()).isEqualTo(first.path()).hasContent("abc");
    assertThat(files()).hasSize(1);
    store.remove(first.hash());
    assertThat(files()).isEmpty();
  }

  @Test
  void aBrokenStreamLeavesNothingBehind() throws IOException {
    ContentStore store = new ContentStore(folder);
    InputStream broken =
        new InputStream() {
          private int left = 100;

          @Override
          public int read() {
            return 7;
          }

          @Override
          public int read(byte[] into, int offset, int length) throws IOException {
            if (left-- == 0) {
              throw new IOException("the line went dead");
            }
            return length;
          }
        };
    assertThatIOException().isThrownBy(() -> store.put(broken)).withMessage("the line went dead");
    assertThat(files()).isEmpty();
  }
}
