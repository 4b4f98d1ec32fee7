package org.sallowbrook.server.household;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.sallowbrook.server.platform.Member;
import org.springframework.data.jpa.repository.JpaRepository;

/** Not filtered by household: who asks for one says which. */
interface Accounts extends JpaRepository<Account, UUID> {
    Optional<Account> findByUsername(String username);

    Optional<Account> findByIdAndHouseholdId(UUID id, UUID householdId);

    List<Account> findAllByHouseholdIdOrderByDisplayName(UUID householdId);

    long countByHouseholdIdAndRoleAndDisabledFalse(UUID householdId, Member.Role role);
}
