package org.sallowbrook.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/** People who write, each a record until somebody says that it is there, then the next. */
final class Writers {

    private final String base;
    private final AtomicBoolean on = new AtomicBoolean(true);
    private final List<Thread> threads = new ArrayList<>();
    /** Acknowledged ids, and how often each was sent. */
    final Map<UUID, Integer> acknowledged = new ConcurrentHashMap<>();
    /** Answers to a write that failed and did not say so. */
    final Set<String> unclear = ConcurrentHashMap.newKeySet();
    /** Answers of 5xx. */
    final AtomicInteger failed = new AtomicInteger();
    /** What the last write that was not kept was told; empty when none was since it was emptied. */
    volatile String refused = "";

    Writers(String base, int howMany) {
        this.base = base;
        for (int i = 0; i < howMany; i++) {
            Thread writer = new Thread(this::write);
            writer.setDaemon(true);
            writer.start();
            threads.add(writer);
        }
    }

    void stop() throws InterruptedException {
        on.set(false);
        for (Thread thread : threads) {
            thread.join();
        }
    }

    private void write() {
        Visitor visitor = null;
        UUID id = UUID.randomUUID();
        int sent = 0;
        while (on.get()) {
            try {
                if (visitor == null) {
                    visitor = Visitor.signIn(base, "ilse");
                }
                sent++;
                HttpResponse<String> answer = visitor.post("/api/shelf/supplies", """
                        {"id":"%s","form":"WAX","name":"wax %s","amount":10,"denatured":false,"open":false,"place":""}""".formatted(id, id));
                if (answer.statusCode() == 200) {
                    acknowledged.put(id, sent);
                    id = UUID.randomUUID();
                    sent = 0;
                } else if (answer.statusCode() == 401 || answer.statusCode() == 403) {
                    visitor = null;
                } else {
                    refused = answer.statusCode() + " " + answer.body();
                }
                if (answer.statusCode() >= 500) {
                    failed.incrementAndGet();
                }
                if (answer.statusCode() >= 402 && !answer.body().contains("not saved")) {
                    unclear.add(answer.statusCode() + " " + answer.body());
                }
            } catch (IOException | IllegalStateException e) {
                visitor = null;
                pause();
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    /** As long as a person would wait at least, and so that those who wait do not take the time of the start. */
    private static void pause() {
        try {
            Thread.sleep(500);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Until one more was acknowledged. */
    void awaitWrite() throws InterruptedException {
        int before = acknowledged.size();
        for (int i = 0; i < 1200 && acknowledged.size() == before; i++) {
            Thread.sleep(50);
        }
        if (acknowledged.size() == before) {
            throw new IllegalStateException("nothing was written for a minute");
        }
    }

    /** @param lost acknowledged and not there */
    record Found(long lost, int doubled) {}

    /** What is in the database of what was acknowledged. */
    Found found() throws SQLException {
        Set<UUID> there = new HashSet<>();
        int doubled = 0;
        try (Connection db = DriverManager.getConnection(
                        System.getenv("SALLOWBROOK_DB_URL"),
                        System.getenv("SALLOWBROOK_DB_USER"),
                        System.getenv("SALLOWBROOK_DB_PASSWORD"));
                Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select name, count(*) from lot where name like 'wax %' group by name")) {
            while (r.next()) {
                there.add(UUID.fromString(r.getString(1).substring(4)));
                doubled += r.getInt(2) > 1 ? 1 : 0;
            }
        }
        return new Found(
                acknowledged.keySet().stream().filter(id -> !there.contains(id)).count(), doubled);
    }
}
