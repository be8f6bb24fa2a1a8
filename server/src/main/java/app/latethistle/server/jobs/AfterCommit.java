package app.latethistle.server.jobs;

import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Work that waits for the transaction in progress. */
public final class AfterCommit {
  private AfterCommit() {}

  /** Does something as soon as the transaction in progress, if any, has ended well. */
  public static void run(Runnable work) {
    if (!TransactionSynchronizationManager.isActualTransactionActive()) {
      work.run();
      return;
    }
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            work.run();
          }
        });
  }
}
