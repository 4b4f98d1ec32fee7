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

    /** What is asked while something is done, of the session as well; not what the demo's clock keeps every few seconds. */
    static List<String> during(Runnable what) {
        ASKED.clear();
        what.run();
        return ASKED.stream().filter(q -> !q.contains("demo_clock")).toList();
    }
}
