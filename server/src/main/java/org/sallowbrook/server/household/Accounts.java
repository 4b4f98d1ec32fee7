package org.sallowbrook.server.household;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Accounts extends JpaRepository<Account, UUID> {
    Optional<Account> findByUsername(String username);
}
