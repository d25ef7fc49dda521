import { now as askNow } from '../api/client';

/** The application's one `now`: the server's, ticking on by itself, or standing still where it was stopped. */
class AppClock {
  now = $state.raw(new Date());
  #offset = 0;
  #fixed = false;

  /** Sets the clock by the server's; ticks every second until `stop` is called. */
  start(): () => void {
    void this.#sync();
    const timer = setInterval(() => this.#tick(), 1000);
    return () => clearInterval(timer);
  }

  async #sync(): Promise<void> {
    const answer = await askNow().catch(() => null);
    if (answer) {
      this.#fixed = answer.fixed;
      this.#offset = new Date(answer.now).getTime() - Date.now();
      this.now = new Date(answer.now);
    }
  }

  #tick(): void {
    if (!this.#fixed) {
      this.now = new Date(Date.now() + this.#offset);
    }
  }
}

export const appClock = new AppClock();
