package goodbones;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "goodbones", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule THE_CORE_IMPORTS_NO_FRAMEWORK =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "java..",
              "goodbones..",
              "org.jspecify..",
              "org.jsoup..",
              "org.jgrapht..",
              "tools.jackson..",
              "org.brotli..");

  @ArchTest
  static final ArchRule ONLY_OPEN_FORMATS_READ_HTML =
      noClasses()
          .that()
          .resideOutsideOfPackage("goodbones.exchange..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("org.jsoup..");

  @ArchTest
  static final ArchRule ONLY_OPEN_FORMATS_KNOW_JSON =
      noClasses()
          .that()
          .resideOutsideOfPackage("goodbones.exchange..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("tools.jackson..");

  @ArchTest
  static final ArchRule ONLY_THE_LIBRARY_DRAWS_GRAPHS =
      noClasses()
          .that()
          .resideOutsideOfPackage("goodbones.library..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("org.jgrapht..");

  @ArchTest
  static final ArchRule PACKAGES_MAKE_NO_RING =
      slices().matching("goodbones.(*)..").should().beFreeOfCycles();
}
