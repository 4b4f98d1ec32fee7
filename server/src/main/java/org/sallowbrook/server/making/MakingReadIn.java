package org.sallowbrook.server.making;

import java.util.List;
import org.sallowbrook.server.platform.ReadIn;
import org.springframework.stereotype.Component;

/** Plans of batches are read as strictly as those that were written here. */
@Component
class MakingReadIn implements ReadIn {

    private final Batches batches;

    MakingReadIn(Batches batches) {
        this.batches = batches;
    }

    @Override
    public List<String> wrong(Came came) {
        batches.findAllById(came.of("batch")).forEach(BatchReader::plan);
        return List.of();
    }
}
