/** In the place of workers/begin: a ticker that the test's own timers drive. */
export function beginTicker(): Worker {
  const ticker = {
    onmessage: null as ((event: unknown) => void) | null,
    terminate: () => clearInterval(timer),
  };
  const timer = setInterval(() => ticker.onmessage?.({}), 500);
  return ticker as unknown as Worker;
}
