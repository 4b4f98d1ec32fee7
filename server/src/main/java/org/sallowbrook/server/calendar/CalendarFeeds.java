package org.sallowbrook.server.calendar;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CalendarFeeds extends JpaRepository<CalendarFeed, UUID> {

    Optional<CalendarFeed> findBySecretDigestAndEndedAtIsNull(String secretDigest);

    List<CalendarFeed> findAllByEndedAtIsNullOrderByMadeAtDescIdDesc();
}
