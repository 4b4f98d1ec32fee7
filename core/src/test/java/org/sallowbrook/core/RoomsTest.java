package org.sallowbrook.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;

/** The order of the rooms, and what the core may not know. */
public class RoomsTest {

    private static final List<String> ROOMS = List.of(
            "measure",
            "household",
            "herbarium",
            "identification",
            "field",
            "drying",
            "shelf",
            "making",
            "dosing",
            "planning");

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.sallowbrook.core");

    @Test
    public void aRoomUsesOnlyRoomsBeforeIt() {
        var layers = layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String room : ROOMS) {
            layers = layers.layer(room).definedBy("org.sallowbrook.core." + room + "..");
        }
        for (int i = 0; i < ROOMS.size(); i++) {
            List<String> later = new ArrayList<>(ROOMS.subList(i + 1, ROOMS.size()));
            layers = later.isEmpty()
                    ? layers.whereLayer(ROOMS.get(i)).mayNotBeAccessedByAnyLayer()
                    : layers.whereLayer(ROOMS.get(i)).mayOnlyBeAccessedByLayers(later.toArray(String[]::new));
        }
        layers.check(core);
    }

    @Test
    public void partsOfTheBenchFormNoCycle() {
        slices().matching("org.sallowbrook.core.making.(*)..")
                .should()
                .beFreeOfCycles()
                .check(core);
    }

    @Test
    public void coreKnowsNoFrameworkClockOrDisk() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "jakarta..",
                        "com.fasterxml..",
                        "tools.jackson..",
                        "java.io..",
                        "java.nio.file..",
                        "java.sql..",
                        "java.net..")
                .orShould()
                .callMethod(java.time.LocalDate.class, "now")
                .orShould()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .check(core);
    }
}
