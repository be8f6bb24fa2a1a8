package app.latethistle.core.type;

import app.latethistle.faces.ShippedFile;
import java.awt.image.BufferedImage;
import java.util.List;

/** The faces that ship, for tests. */
public final class TestFaces {
  public static final Faces ALL = of(ShippedFile.all());

  /** All, and a logotype. */
  public static Faces with(String logotype, BufferedImage picture) {
    return ALL.with(List.of(), List.of(new LogotypeFile(logotype, () -> picture)));
  }

  private TestFaces() {}

  static Faces of(List<ShippedFile> files) {
    return new Faces(
        files.stream()
            .map(
                f ->
                    new FaceFile(
                        f.family(),
                        f.character(),
                        f.weight() == 700,
                        f.italic(),
                        f.script(),
                        f::open))
            .toList());
  }
}
