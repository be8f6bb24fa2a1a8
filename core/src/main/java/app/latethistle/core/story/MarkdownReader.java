package app.latethistle.core.story;

import app.latethistle.core.story.ScriptElement.Kind;
import java.util.ArrayList;
import java.util.List;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Block;
import org.commonmark.node.BlockQuote;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.CustomBlock;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.Heading;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.SourceSpan;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.node.Text;
import org.commonmark.parser.IncludeSourceSpans;
import org.commonmark.parser.Parser;

/**
 * Reads Markdown (CommonMark): a first-level heading is the title, deeper ones are scenes, a
 * quotation is narration, "**Name:** words" or "Name: words" is spoken, list items and paragraphs
 * are action, comments are notes.
 */
final class MarkdownReader extends AbstractVisitor {
  private static final Parser PARSER =
      Parser.builder()
          .extensions(List.of(TablesExtension.create()))
          .includeSourceSpans(IncludeSourceSpans.BLOCKS)
          .build();

  private final ElementList out = new ElementList();
  private final Node document;
  private boolean quoted;

  MarkdownReader(String text) {
    document = PARSER.parse(text);
  }

  List<ScriptElement> read() {
    document.accept(this);
    return out.elements();
  }

  @Override
  public void visit(Heading heading) {
    String text = String.join(" ", linesOf(heading));
    boolean title = heading.getLevel() == 1 && out.elements().isEmpty();
    if (title) {
      out.add(
          Kind.TITLE,
          LabelledLine.of(text, false).map(LabelledLine::text).orElse(text),
          lineOf(heading));
    } else if (!out.addLabelled(text, lineOf(heading), false)) {
      out.add(Kind.SCENE, SceneHeading.clean(text), lineOf(heading));
    }
  }

  @Override
  public void visit(BlockQuote quote) {
    boolean before = quoted;
    quoted = true;
    visitChildren(quote);
    quoted = before;
  }

  @Override
  public void visit(BulletList list) {
    items(list);
  }

  @Override
  public void visit(OrderedList list) {
    items(list);
  }

  /**
   * A list item is a shot, even if a colon stands in it, unless it begins with a word for what is
   * heard or seen, or with a name in bold. Lines that follow it without being indented are no part
   * of it: in a script they are spoken.
   */
  private void items(Node list) {
    for (Node item = list.getFirstChild(); item != null; item = item.getNext()) {
      for (Node part = item.getFirstChild(); part != null; part = part.getNext()) {
        if (part instanceof Paragraph paragraph) {
          List<String> lines = linesOf(paragraph);
          int its = indented(paragraph, lines.size());
          boolean named = paragraph.getFirstChild() instanceof StrongEmphasis;
          addAll(lines.subList(0, its), lineOf(paragraph), named);
          addAll(lines.subList(its, lines.size()), lineOf(paragraph) + its, true);
        } else {
          part.accept(this);
        }
      }
    }
  }

  /** How many of a paragraph's lines, from the first on, are indented as far as that. */
  private static int indented(Paragraph paragraph, int lines) {
    List<SourceSpan> spans = paragraph.getSourceSpans();
    int count = 1;
    while (count < Math.min(lines, spans.size())
        && spans.get(count).getColumnIndex() >= spans.get(0).getColumnIndex()) {
      count++;
    }
    return count;
  }

  @Override
  public void visit(ListItem item) {
    throw new IllegalStateException("Items are read with their list.");
  }

  @Override
  public void visit(Paragraph paragraph) {
    addAll(linesOf(paragraph), lineOf(paragraph), true);
  }

  /** A table is a script kept as rows; one whose columns say nothing known is read as text. */
  @Override
  public void visit(CustomBlock block) {
    if (!(block instanceof TableBlock)) {
      visitChildren(block);
      return;
    }
    List<List<String>> rows = new ArrayList<>();
    for (Node part = block.getFirstChild(); part != null; part = part.getNext()) {
      for (Node row = part.getFirstChild(); row != null; row = row.getNext()) {
        List<String> cells = new ArrayList<>();
        for (Node cell = row.getFirstChild(); cell != null; cell = cell.getNext()) {
          cells.add(String.join(" ", linesOf(cell)));
        }
        rows.add(cells);
      }
    }
    // The line of marks under the head is no row.
    TableScript.read(rows, out, i -> lineOf(block) + (i == 0 ? 0 : i + 1));
  }

  /** Adds lines as one part; a line that says what it is begins a part of its own. */
  private void addAll(List<String> lines, int first, boolean names) {
    int begun = 0;
    for (int i = 0; i <= lines.size(); i++) {
      boolean labelled =
          i < lines.size() && LabelledLine.of(ElementList.plain(lines.get(i)), names).isPresent();
      if (i == lines.size() || (labelled && i > begun)) {
        add(lines.subList(begun, i), first + begun, names);
        begun = i;
      }
    }
  }

  private void add(List<String> lines, int line, boolean names) {
    if (lines.isEmpty()) {
      return;
    }
    // A label that stands alone, or a heading of a scene, does not go on over the next line.
    boolean alone =
        LabelledLine.of(ElementList.plain(lines.get(0)), names)
            .filter(l -> l.text().isEmpty() || l.kind() == Kind.SCENE || l.kind() == Kind.TITLE)
            .isPresent();
    if (alone && lines.size() > 1) {
      out.addLabelled(lines.get(0), line, names);
      add(String.join(" ", lines.subList(1, lines.size())), line + 1, names);
    } else {
      add(String.join(" ", lines), line, names);
    }
  }

  private void add(String text, int line, boolean names) {
    if (!out.addLabelled(text, line, names)) {
      out.add(
          quoted ? Kind.NARRATION : Kind.ACTION, quoted ? ElementList.NARRATOR : "", text, line);
    }
  }

  @Override
  public void visit(IndentedCodeBlock block) {
    add(block.getLiteral().strip(), lineOf(block), true);
  }

  @Override
  public void visit(FencedCodeBlock block) {
    add(block.getLiteral().strip(), lineOf(block), true);
  }

  /** The line of the text that a block begins on, from 1. */
  private static int lineOf(Block block) {
    return block.getSourceSpans().isEmpty() ? 1 : block.getSourceSpans().get(0).getLineIndex() + 1;
  }

  /** The words of a block line by line, without marks for emphasis and without comments. */
  private static List<String> linesOf(Node block) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    block.accept(
        new AbstractVisitor() {
          @Override
          public void visit(Text text) {
            line.append(text.getLiteral());
          }

          @Override
          public void visit(Code code) {
            line.append(code.getLiteral());
          }

          @Override
          public void visit(SoftLineBreak lineBreak) {
            end();
          }

          @Override
          public void visit(HardLineBreak lineBreak) {
            end();
          }

          private void end() {
            lines.add(line.toString().strip());
            line.setLength(0);
          }
        });
    lines.add(line.toString().strip());
    return lines;
  }
}
