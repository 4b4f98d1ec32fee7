package org.sallowbrook.server.platform;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.web.http.CookieHttpSessionIdResolver;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions are read and written by plain JDBC transactions. A JPA one would ask for the household, which is known only
 * once the session has been read.
 */
@Configuration
class SessionStorage {

    /** How exactly it is known when somebody was last here; they are signed out after hours. */
    private static final Duration SEEN_EVERY = Duration.ofMinutes(1);

    @Bean
    TransactionOperations springSessionTransactionOperations(DataSource dataSource) {
        TransactionTemplate template = new TransactionTemplate(new JdbcTransactionManager(dataSource));
        template.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return template;
    }

    /** The same sessions; that somebody is still here is written at most once a minute, and not with every answer. */
    @Bean
    static BeanPostProcessor writesSeldom(
            ObjectProvider<JdbcIndexedSessionRepository> sessions, ObjectProvider<CookieSerializer> cookies) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                if (!(bean instanceof SessionRepositoryFilter<?>)) {
                    return bean;
                }
                CookieHttpSessionIdResolver ids = new CookieHttpSessionIdResolver();
                cookies.ifAvailable(ids::setCookieSerializer);
                SessionRepositoryFilter<?> filter =
                        new SessionRepositoryFilter<>(new SeldomWritten<>(sessions.getObject()));
                filter.setHttpSessionIdResolver(ids);
                return filter;
            }
        };
    }

    private record SeldomWritten<S extends Session>(SessionRepository<S> all) implements SessionRepository<Seldom<?>> {

        @Override
        public Seldom<?> createSession() {
            return new Seldom<>(all.createSession());
        }

        @Override
        @SuppressWarnings("unchecked")
        public void save(Seldom<?> session) {
            all.save((S) session.session);
        }

        @Override
        public @Nullable Seldom<?> findById(String id) {
            S found = all.findById(id);
            return found == null ? null : new Seldom<>(found);
        }

        @Override
        public void deleteById(String id) {
            all.deleteById(id);
        }
    }

    /** A session that is touched only when the last touch is some time ago. */
    static final class Seldom<S extends Session> implements Session {

        private final S session;

        Seldom(S session) {
            this.session = session;
        }

        @Override
        public void setLastAccessedTime(Instant now) {
            if (now.isAfter(session.getLastAccessedTime().plus(SEEN_EVERY))) {
                session.setLastAccessedTime(now);
            }
        }

        @Override
        public String getId() {
            return session.getId();
        }

        @Override
        public String changeSessionId() {
            return session.changeSessionId();
        }

        @Override
        public <T> T getAttribute(String name) {
            return session.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return session.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            session.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            session.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return session.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return session.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            session.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return session.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return session.isExpired();
        }
    }
}
