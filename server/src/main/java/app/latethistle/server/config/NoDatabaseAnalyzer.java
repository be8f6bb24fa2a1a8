package app.latethistle.server.config;

import java.sql.SQLException;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Tells at the start that the database cannot be used. */
final class NoDatabaseAnalyzer extends AbstractFailureAnalyzer<SQLException> {
  @Override
  protected FailureAnalysis analyze(Throwable failure, SQLException cause) {
    return new FailureAnalysis(
        "The database cannot be used: " + Reason.of(cause),
        "Check the address, that the database 'thistle' is there, and the password of its user"
            + " 'thistle'.",
        cause);
  }
}
