package app.latethistle.server.material;

/** What a file is called without its folders and its ending. */
final class FileStem {
  private FileStem() {}

  static String of(String name) {
    return name.replaceFirst("^.*/", "").replaceFirst("\\.[^.]*$", "");
  }
}
