package openslab.server;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.type;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import openslab.core.job.ZoneFacts;
import org.testng.annotations.Test;

/** What the parts of the application may know of one another. */
public class ArchitectureTest {
    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("openslab.server");

    /** What others stand on first. A new part is one word here. */
    private static final List<String> PARTS = List.of(
            "web",
            "store",
            "form",
            "product",
            "system",
            "mix",
            "job",
            "document",
            "practice",
            "floor",
            "prep",
            "buy",
            "lay",
            "survey",
            "exchange",
            "instrument",
            "standin",
            "demo");

    @Test
    public void a_part_knows_only_what_it_stands_on() {
        for (int i = 0; i < PARTS.size(); i++) {
            for (String later : PARTS.subList(i + 1, PARTS.size())) {
                noClasses()
                        .that()
                        .resideInAPackage("openslab.server." + PARTS.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAPackage("openslab.server." + later + "..")
                        .check(SERVER);
            }
        }
    }

    @Test
    public void every_class_but_the_application_belongs_to_a_part() {
        String[] known = PARTS.stream().map(p -> "openslab.server." + p + "..").toArray(String[]::new);
        classes()
                .that()
                .doNotBelongToAnyOf(OpenSlab.class)
                .should()
                .resideInAnyPackage(known)
                .check(SERVER);
    }

    @Test
    public void only_the_one_reader_makes_what_is_known_of_a_zone() {
        noClasses()
                .that()
                .doNotHaveSimpleName("ZoneReader")
                .should()
                .callConstructorWhere(target(owner(type(ZoneFacts.class))))
                .check(SERVER);
    }
}
