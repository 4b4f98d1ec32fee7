package org.sallowbrook.server.calendar;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TodayController {

    private final TodayService today;

    TodayController(TodayService today) {
        this.today = today;
    }

    @GetMapping("/api/calendar/today")
    TodayService.TodayView today() {
        return today.today();
    }
}
