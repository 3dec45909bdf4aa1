/** Ticks twice a second, also in a page that lies in the background: a page's own timers are slowed there. */
setInterval(() => postMessage(null), 500);
