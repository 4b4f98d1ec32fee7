package org.sallowbrook.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.IncorrectResultSizeDataAccessException;
import org.springframework.dao.InvalidDataAccessResourceUsageException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the database refused is told as what it was; a mistake of ours is not told as the database's. */
public class StorageTest {

    @DataProvider
    public Object[][] refusals() {
        return new Object[][] {
            {"53100", 507, "disk is full"},
            {"58030", 507, "disk is full"},
            {"53300", 503, "does not answer"},
            {"57P01", 503, "does not answer"},
            {"08006", 503, "does not answer"},
            {"55P03", 503, "Somebody else"},
            {"40001", 503, "Somebody else"},
            {"23505", 409, "recorded already"},
            {"23503", 409, "not there any more"},
            {"23514", 400, "out of range"},
            {"23502", 400, "can't be kept"},
            {"22001", 400, "longer"},
            {"22021", 400, "character"},
        };
    }

    @Test(dataProvider = "refusals")
    public void everyRefusalHasItsWords(String state, int status, String words) {
        var body = Storage.problem(new DataIntegrityViolationException("x", new SQLException("x", state)));
        assertThat(body).isNotNull();
        assertThat(body.getStatus()).isEqualTo(status);
        assertThat(body.getDetail()).contains(words);
        if (status >= 500) {
            assertThat(body.getDetail()).contains("not saved");
        }
    }

    @Test
    public void aDatabaseThatCanNotBeReachedIsSaidToBeAway() {
        var body = Storage.problem(
                new CannotCreateTransactionException("x", new SQLTransientConnectionException("timed out")));
        assertThat(body).isNotNull();
        assertThat(body.getStatus()).isEqualTo(503);
    }

    @DataProvider
    public Object[][] ours() {
        return new Object[][] {
            {new IllegalStateException("x")},
            {new InvalidDataAccessResourceUsageException("x", new SQLException("no such column", "42703"))},
            {new IncorrectResultSizeDataAccessException(1, 2)},
        };
    }

    @Test(dataProvider = "ours")
    public void aMistakeOfOursIsNotBlamedOnTheDatabase(Exception ours) {
        assertThat(Storage.problem(ours)).isNull();
    }
}
