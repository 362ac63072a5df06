package parable;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class AppArchitectureTest {

    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("parable.app", "parable.cli");

    @Test
    void theWindowAsksTheBenchAndNotTheNetwork() {
        noClasses()
                .that()
                .resideInAPackage("parable.app..")
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("parable.network.Network")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("parable.network.Solution")
                .check(APP);
    }

    @Test
    void theWindowDoesNotKnowTheCommandLine() {
        noClasses()
                .that()
                .resideInAPackage("parable.app..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("parable.cli..", "picocli..")
                .check(APP);
    }
}
