package org.sallowbrook.server.platform;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Who is signed in, and for which household. */
public record Member(UUID accountId, UUID householdId, String displayName, Role role)
        implements Principal, Serializable {

    /** KEEPER changes everything, HELPER records work, READER looks. */
    public enum Role {
        KEEPER,
        HELPER,
        READER
    }

    /** The account, by which its sessions are found. */
    @Override
    public String getName() {
        return accountId.toString();
    }

    /** The member of this request. @throws IllegalStateException outside one */
    public static Member current() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof Member member) {
            return member;
        }
        throw new IllegalStateException("nobody is signed in");
    }

    /** The household of this request; null outside one. */
    public static @Nullable UUID householdOrNull() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof Member member
                ? member.householdId()
                : null;
    }
}
