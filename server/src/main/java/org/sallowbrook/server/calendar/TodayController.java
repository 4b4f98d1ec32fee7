package org.sallowbrook.server.calendar;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TodayController {

    private final TodayService today;

    TodayController(TodayService today) {
        this.today = today;
    }

    /** How much waits at each landing, for every page: kept until something changes. */
    @GetMapping("/api/calendar/landings")
    List<TodayService.LandingView> landings() {
        return today.landings();
    }

    @GetMapping("/api/calendar/today")
    TodayService.TodayView today() {
        return today.today();
    }
}
