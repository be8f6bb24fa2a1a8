package app.latethistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.CheckedNode;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Set;

/** Holds a page against axe-core's rules (WCAG 2.2 A and AA, and good practice). */
final class Accessible {
  private static final Set<String> GRAVE = Set.of("serious", "critical");

  private Accessible() {}

  /** Fails with what is seriously wrong with the page as it is now. */
  static void check(Page page) {
    // What is still fading in has not its own colours yet.
    page.waitForFunction(
        "() => document.getAnimations().every(a => !(a instanceof CSSTransition))");
    List<String> wrong =
        new AxeBuilder(page)
            .analyze().getViolations().stream()
                .filter(rule -> GRAVE.contains(rule.getImpact()))
                .map(Accessible::told)
                .toList();
    assertThat(wrong).as("at %s", page.url()).isEmpty();
  }

  private static String told(Rule rule) {
    List<String> where = rule.getNodes().stream().map(CheckedNode::getHtml).limit(3).toList();
    return rule.getId() + ": " + rule.getHelp() + " " + where;
  }
}
