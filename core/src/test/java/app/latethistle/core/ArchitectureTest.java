package app.latethistle.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The order of core's packages, in which data flows (docs/architecture.md). */
class ArchitectureTest {
  private static final String ROOT = "app.latethistle.core.";

  /** Each may use only those before it. */
  private static final List<String> ORDER =
      List.of(
          "work",
          "key",
          "time",
          "signal",
          "music",
          "voice",
          "story",
          "take",
          "measure",
          "look",
          "sound",
          "words",
          "film",
          "plan",
          "caption",
          "picture",
          "people",
          "repair",
          "grade",
          "subject",
          "type",
          "marks",
          "mix",
          "interchange",
          "render",
          "check",
          "release");

  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("app.latethistle.core");

  static List<String> order() {
    return ORDER;
  }

  @ParameterizedTest
  @MethodSource("order")
  void packagesUseOnlyThoseBeforeThem(String name) {
    String[] later =
        ORDER.subList(ORDER.indexOf(name) + 1, ORDER.size()).stream()
            .map(p -> ROOT + p + "..")
            .toArray(String[]::new);
    if (later.length > 0) {
      noClasses()
          .that()
          .resideInAPackage(ROOT + name + "..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(later)
          .check(CORE);
    }
  }

  @Test
  void everyPackageHasItsPlaceInTheOrder() {
    String[] known =
        Stream.concat(Stream.of("app.latethistle.core"), ORDER.stream().map(p -> ROOT + p))
            .toArray(String[]::new);
    classes().should().resideInAnyPackage(known).check(CORE);
  }

  @Test
  void coreNeedsOnlyTheLanguageNumbersAndReadersOfText() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "app.latethistle.core..",
            "java.lang..",
            "java.util..",
            "java.io..",
            "java.nio",
            "java.nio.charset",
            "java.security",
            "java.math",
            "org.jtransforms..",
            "org.apache.commons.csv..",
            "org.commonmark..",
            // The layout and the outlines of letters, drawn into memory.
            "java.awt",
            "java.awt.font",
            "java.awt.geom",
            "java.awt.image",
            "java.text",
            "javax.xml.parsers",
            "javax.xml.stream",
            "org.w3c.dom",
            "org.xml.sax",
            "boofcv..",
            "georegression..",
            "org.ddogleg..")
        .check(CORE);
  }
}
