package app.latethistle.server.config;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Tells at the start what is missing, without a stack. */
final class StartRefusedAnalyzer extends AbstractFailureAnalyzer<StartRefused> {
  @Override
  protected FailureAnalysis analyze(Throwable failure, StartRefused cause) {
    return new FailureAnalysis(cause.getMessage(), cause.action(), cause);
  }
}
