package app.latethistle.server.history;

import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What is noted in the transaction in progress; one that is begun inside it has its own. */
final class Noting implements TransactionSynchronization {
  /** What the step is called whatever is done first, or null. */
  String label;

  /** The step so far, or null. */
  Step step;

  /** Whether nothing is noted, because steps are being taken back. */
  boolean off;

  private Noting() {}

  /** That of the transaction in progress. */
  static Noting here() {
    if (TransactionSynchronizationManager.getResource(Noting.class) instanceof Noting noting) {
      return noting;
    }
    Noting noting = new Noting();
    TransactionSynchronizationManager.bindResource(Noting.class, noting);
    TransactionSynchronizationManager.registerSynchronization(noting);
    return noting;
  }

  @Override
  public void suspend() {
    TransactionSynchronizationManager.unbindResourceIfPossible(Noting.class);
  }

  @Override
  public void resume() {
    TransactionSynchronizationManager.bindResource(Noting.class, this);
  }

  @Override
  public void afterCompletion(int status) {
    TransactionSynchronizationManager.unbindResourceIfPossible(Noting.class);
  }
}
