package parable;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Set;
import org.junit.jupiter.api.Test;

class AppArchitectureTest {

    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("parable.app", "parable.cli");

    /** Values of those packages that are shown as they are. */
    private static final Set<String> SEEN = Set.of("NodeState", "Potential", "Refutation", "Current", "Short");

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
    void noPackagesOfTheWindowLeadBackToThemselves() {
        slices().matching("parable.(app..)").should().beFreeOfCycles().check(APP);
    }

    /** What is typed is read by the core: the window takes no words apart and knows no notation. */
    @Test
    void theWindowHoldsNoGrammar() {
        noClasses()
                .that()
                .resideInAPackage("parable.app..")
                .should()
                .callMethod(String.class, "split", String.class)
                .orShould()
                .callMethod(String.class, "split", String.class, int.class)
                .orShould()
                .callMethod(String.class, "matches", String.class)
                .orShould()
                .dependOnClassesThat()
                .resideInAPackage("java.util.regex")
                .orShould()
                .dependOnClassesThat()
                .haveNameMatching(
                        "parable\\.(circuit\\.(RungNotation|Structure|WireNumbers)|drafting\\.TypedRung|proof\\.StatementReader)")
                .check(APP);
    }

    /** What is fed, joined, reached or in time is asked of the bench and of the proof, and never worked out in a view. */
    @Test
    void theWindowHoldsNoElectricalDecision() {
        noClasses()
                .that()
                .resideInAPackage("parable.app..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("parable.reach..")
                .orShould()
                .dependOnClassesThat(DescribedPredicate.describe(
                        "workings of the network and of times",
                        one -> (one.getPackageName().equals("parable.network")
                                        || one.getPackageName().equals("parable.timing"))
                                && !SEEN.contains(one.getSimpleName())))
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
