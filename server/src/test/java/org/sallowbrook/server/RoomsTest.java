package org.sallowbrook.server;

import org.springframework.modulith.core.ApplicationModules;
import org.testng.annotations.Test;

public class RoomsTest {

    /** No cycles, and no room reaches past what its package-info allows. */
    @Test
    public void roomsUseOnlyRoomsTheyMay() {
        ApplicationModules.of(Sallowbrook.class).verify();
    }
}
