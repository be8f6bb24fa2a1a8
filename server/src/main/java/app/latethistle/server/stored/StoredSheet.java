package app.latethistle.server.stored;

import app.latethistle.core.release.ReleaseSheet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Release sheets as text. */
public final class StoredSheet {
  private static final int FORMAT = 1;

  private StoredSheet() {}

  private record Form(
      String title,
      String description,
      boolean chapters,
      List<String> tags,
      boolean generated,
      Long thumbnail,
      Map<String, String> rights) {}

  public static String write(ReleaseSheet s) {
    return Json.write(
        FORMAT,
        new Form(
            s.title(),
            s.description(),
            s.chapters(),
            s.tags(),
            s.generated(),
            s.thumbnail().orElse(null),
            s.rights()));
  }

  /** A sheet of any format. */
  public static ReleaseSheet read(String text) {
    var tree = Json.tree(text);
    Json.format(tree, FORMAT);
    Form f = Json.as(tree, Form.class);
    return new ReleaseSheet(
        f.title,
        f.description,
        f.chapters,
        f.tags,
        f.generated,
        Optional.ofNullable(f.thumbnail),
        f.rights);
  }
}
