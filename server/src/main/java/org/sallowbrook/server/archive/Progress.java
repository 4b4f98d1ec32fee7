package org.sallowbrook.server.archive;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;

/** How far long work has come: told to whoever began it, who may stop it. */
@Component
class Progress {

    enum Step {
        /** Row by row, or line by line. */
        READING,
        /** Held against what is here. */
        COMPARING,
        TAKING_IN,
        /** As the rooms read it. */
        JUDGING
    }

    /** @param done of {@code of} rows, lines or kinds of records, by the step */
    record ProgressView(Step step, Integer done, Integer of) {}

    private final Map<UUID, Work> running = new ConcurrentHashMap<>();

    /** Of one account one at a time: what it begins next is what is asked about. */
    Work begin(Step step, int of) {
        UUID account = Member.current().accountId();
        Work work = new Work(account, new ProgressView(step, 0, of));
        running.put(account, work);
        return work;
    }

    /** Empty where nothing runs. */
    List<ProgressView> now() {
        Work work = running.get(Member.current().accountId());
        return work == null ? List.of() : List.of(work.now);
    }

    /** It ends at its next row, and nothing of it stays. */
    void stop() {
        Work work = running.get(Member.current().accountId());
        if (work != null) {
            work.stopped = true;
        }
    }

    final class Work implements AutoCloseable {
        private final UUID account;
        private volatile ProgressView now;
        private volatile boolean stopped;

        private Work(UUID account, ProgressView now) {
            this.account = account;
            this.now = now;
        }

        void step(Step step, int of) {
            goesOn();
            now = new ProgressView(step, 0, of);
        }

        /** So many more are done. */
        void done(int more) {
            goesOn();
            now = new ProgressView(now.step(), now.done() + more, now.of());
        }

        private void goesOn() {
            if (stopped) {
                throw new Problem.Conflict("Stopped. Nothing was changed.");
            }
        }

        @Override
        public void close() {
            running.remove(account, this);
        }
    }
}
