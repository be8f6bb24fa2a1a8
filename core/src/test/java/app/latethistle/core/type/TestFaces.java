package app.latethistle.core.type;

import app.latethistle.faces.ShippedFile;
import java.util.List;

/** The faces that ship, for tests. */
public final class TestFaces {
  public static final Faces ALL = of(ShippedFile.all());

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
