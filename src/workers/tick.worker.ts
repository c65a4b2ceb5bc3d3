/*
 * A clock for pages that are not seen: a browser lets their own timers wait up to a minute, but not those of a worker. Asked for one moment at a
 * time; a newer wish replaces the one before.
 */
let timer: ReturnType<typeof setTimeout> | undefined;

addEventListener('message', (e: MessageEvent<number>) => {
  clearTimeout(timer);
  if (e.data >= 0) timer = setTimeout(() => postMessage(null), e.data);
});
