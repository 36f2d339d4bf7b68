package goodbones.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {
  @Test
  void featuresUseOnlyWhatOthersMakePublicAndMakeNoRing() {
    ApplicationModules.of(GoodBones.class).verify();
  }

  @Test
  void theCoreKnowsNothingOfTheServer() {
    JavaClasses core =
        new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("goodbones");
    noClasses()
        .that()
        .resideOutsideOfPackage("goodbones.server..")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("goodbones.server..")
        .check(core);
  }
}
