package parable;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The packages of the core may only lean on those before them. */
class ArchitectureTest {

    private static final List<String> ORDER = List.of(
            "program",
            "circuit",
            "ratings",
            "parts",
            "drafting",
            "network",
            "bench",
            "reason",
            "scenario",
            "wiring",
            "check",
            "reach",
            "timing",
            "proof",
            "sizing",
            "plc",
            "testsheet",
            "logbook",
            "finding",
            "starters",
            "training",
            "desk",
            "card",
            "offer",
            "stroke",
            "draw",
            "files");

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("parable");

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        assertThat(CORE.stream().map(JavaClass::getPackageName).distinct())
                .containsExactlyInAnyOrderElementsOf(
                        ORDER.stream().map(name -> "parable." + name).toList());
    }

    @Test
    void importsGoOneWay() {
        for (int i = 0; i + 1 < ORDER.size(); i++) {
            String[] later = ORDER.subList(i + 1, ORDER.size()).stream()
                    .map(name -> "parable." + name)
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage("parable." + ORDER.get(i))
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(later)
                    .check(CORE);
        }
    }

    @Test
    void onlyTimingAndProofSeeTheReachedStates() {
        noClasses()
                .that()
                .resideOutsideOfPackages("parable.reach", "parable.timing", "parable.proof")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("parable.reach")
                .check(CORE);
    }

    @Test
    void theCoreKnowsNoInterface() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..")
                .check(CORE);
    }

    @Test
    void onlyFilesTouchesTheDisk() {
        classes()
                .that()
                .resideOutsideOfPackage("parable.files")
                .should()
                .onlyDependOnClassesThat(DescribedPredicate.not(JavaClass.Predicates.resideInAnyPackage(
                        "java.nio.file..", "java.nio.channels..", "java.net..")))
                .check(CORE);
    }
}
