package org.sallowbrook.server.platform;

import java.util.Map;
import java.util.UUID;
import org.hibernate.cfg.MultiTenancySettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Keeps households apart: Hibernate adds the member's household to every query and every new row. */
@Component
class HouseholdResolver implements CurrentTenantIdentifierResolver<UUID>, HibernatePropertiesCustomizer {

    /** Matches no household, so that without a member nothing is found. */
    private static final UUID NOBODY = new UUID(0, 0);

    @Override
    public UUID resolveCurrentTenantIdentifier() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof Member member
                ? member.householdId()
                : NOBODY;
    }

    @Override
    public boolean validateExistingCurrentSessions() {
        return true;
    }

    @Override
    public void customize(Map<String, Object> properties) {
        properties.put(MultiTenancySettings.MULTI_TENANT_IDENTIFIER_RESOLVER, this);
    }
}
