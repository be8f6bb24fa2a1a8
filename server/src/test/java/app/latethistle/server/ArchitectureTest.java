package app.latethistle.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The order of the server's packages (docs/architecture.md), and what controllers promise. */
class ArchitectureTest {
  private static final String ROOT = "app.latethistle.server.";

  /** Each may use only those before it. */
  private static final List<String> ORDER =
      List.of(
          "config",
          "jobs",
          "stored",
          "history",
          "production",
          "pack",
          "material",
          "subject",
          "story",
          "film",
          "voice",
          "services",
          "release",
          "master",
          "style",
          "storage",
          "preview",
          "checks",
          "screening",
          "events",
          "demo");

  private static final JavaClasses SERVER =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("app.latethistle.server");

  static List<String> order() {
    return ORDER.subList(0, ORDER.size() - 1);
  }

  @ParameterizedTest
  @MethodSource("order")
  void packagesUseOnlyThoseBeforeThem(String name) {
    String[] later =
        ORDER.subList(ORDER.indexOf(name) + 1, ORDER.size()).stream()
            .map(p -> ROOT + p + "..")
            .toArray(String[]::new);
    noClasses()
        .that()
        .resideInAPackage(ROOT + name + "..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(later)
        .check(SERVER);
  }

  @Test
  void everyPackageHasItsPlaceInTheOrder() {
    String[] known =
        Stream.concat(Stream.of("app.latethistle.server"), ORDER.stream().map(p -> ROOT + p))
            .toArray(String[]::new);
    classes().should().resideInAnyPackage(known).check(SERVER);
  }

  /** A page need not guess whether an answer has a body. */
  @Test
  void whatAnswersNothingSaysSo() {
    methods()
        .that()
        .areDeclaredInClassesThat()
        .areAnnotatedWith(RestController.class)
        .and()
        .areMetaAnnotatedWith(RequestMapping.class)
        .and()
        .haveRawReturnType(void.class)
        .should()
        .beAnnotatedWith(ResponseStatus.class)
        .check(SERVER);
  }

  /** Who says what went wrong says it in words of ours. */
  @Test
  void onlyOwnExceptionsAreToldToPersons() {
    noClasses()
        .should()
        .callConstructor(IllegalArgumentException.class, String.class)
        .orShould()
        .callConstructor(java.util.NoSuchElementException.class, String.class)
        .check(SERVER);
  }
}
