package org.sallowbrook.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.springframework.modulith.core.ApplicationModules;
import org.testng.annotations.Test;

public class RoomsTest {

    /** No cycles, and no room reaches past what its package-info allows. */
    @Test
    public void roomsUseOnlyRoomsTheyMay() {
        ApplicationModules.of(Sallowbrook.class).verify();
    }

    /** A kind of preparation builds on what all have in common, and is known to nobody there. */
    @Test
    public void theBenchKnowsNoneOfTheKindsMadeAtIt() {
        JavaClasses making = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("org.sallowbrook.server.making");
        noClasses()
                .that()
                .resideInAPackage("org.sallowbrook.server.making")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.sallowbrook.server.making.(*)..")
                .check(making);
        slices().matching("org.sallowbrook.server.making.(*)..")
                .should()
                .beFreeOfCycles()
                .check(making);
    }
}
