package org.sallowbrook.server;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.test.context.TestConfiguration;

/** Counts what the server asks of the database. */
@TestConfiguration
class Statements implements BeanPostProcessor {

    private static final List<String> ASKED = new CopyOnWriteArrayList<>();

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source && name.equals("dataSource")
                ? ProxyDataSourceBuilder.create(source)
                        .afterQuery((execution, queries) -> queries.forEach(q -> ASKED.add(q.getQuery())))
                        .build()
                : bean;
    }

    /** What is asked by the clock and not by the request: the demo's own time, and whether a card was changed meanwhile. */
    private static boolean nowAndThen(String query) {
        return query.contains("demo_clock")
                || query.matches("select (max|count)\\(.*\\) from (own_card|figure_check) .*");
    }

    /** What is asked while something is done, of the session as well. */
    static List<String> during(Runnable what) {
        ASKED.clear();
        what.run();
        return ASKED.stream().filter(q -> !nowAndThen(q)).toList();
    }
}
