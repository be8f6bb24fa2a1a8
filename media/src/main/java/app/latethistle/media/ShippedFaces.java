package app.latethistle.media;

import app.latethistle.core.type.FaceFile;
import app.latethistle.core.type.Faces;
import app.latethistle.faces.ShippedFile;

/** The faces that ship with the application. */
public final class ShippedFaces {
  private static final int BOLD = 700;

  private static final Faces ALL =
      new Faces(
          ShippedFile.all().stream()
              .map(
                  f ->
                      new FaceFile(
                          f.family(),
                          f.character(),
                          f.weight() == BOLD,
                          f.italic(),
                          f.script(),
                          f::open))
              .toList());

  private ShippedFaces() {}

  /** All of them, shared: files are read once. */
  public static Faces all() {
    return ALL;
  }
}
