package openslab.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.testng.annotations.Test;

/** The core stays clean, and a later stage is never used by an earlier one. */
public class ArchitectureTest {
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("openslab.core");

    /** Earlier first. A new stage is one word here. */
    private static final List<String> STAGES = List.of(
            "quantity",
            "air",
            "silica",
            "floor",
            "survey",
            "course",
            "prep",
            "product",
            "system",
            "practice",
            "mix",
            "buy",
            "layout",
            "cure",
            "care",
            "choose",
            "job");

    @Test
    public void core_knows_nothing_but_java_and_libraries_of_computation() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "java..",
                        "openslab.core..",
                        "org.locationtech.jts..",
                        "org.hipparchus..",
                        "org.shredzone.commons.suncalc..")
                .check(CORE);
    }

    @Test
    public void an_earlier_stage_never_uses_a_later_one() {
        for (int i = 0; i < STAGES.size(); i++) {
            for (String later : STAGES.subList(i + 1, STAGES.size())) {
                noClasses()
                        .that()
                        .resideInAPackage("openslab.core." + STAGES.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAPackage("openslab.core." + later + "..")
                        .check(CORE);
            }
        }
    }

    @Test
    public void no_two_packages_know_one_another() {
        slices().matching("openslab.core.(**)").should().beFreeOfCycles().check(CORE);
    }

    @Test
    public void every_class_belongs_to_a_stage() {
        String[] known = STAGES.stream().map(s -> "openslab.core." + s + "..").toArray(String[]::new);
        classes().should().resideInAnyPackage(known).check(CORE);
    }

    @Test
    public void no_clock_is_hidden_in_the_core() {
        noClasses()
                .should()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .check(CORE);
    }
}
