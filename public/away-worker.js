// Keeps one page in this browser: what is shown when a page is opened and the shop's computer does not answer, in place of the browser's own error page. It keeps nothing else.
const SHELF = "demontage-away-1";
const PAGE = "/away.html";

self.addEventListener("install", (event) => {
  event.waitUntil(
    caches
      .open(SHELF)
      .then((shelf) => shelf.addAll([PAGE, "/away.js"]))
      .then(() => self.skipWaiting()),
  );
});
self.addEventListener("activate", (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(
          names
            .filter((name) => name.startsWith("demontage-away") && name !== SHELF)
            .map((name) => caches.delete(name)),
        ),
      )
      .then(() => self.clients.claim()),
  );
});
self.addEventListener("fetch", (event) => {
  const { request } = event;
  const isPage = request.mode === "navigate" && request.method === "GET";
  const isOurs = new URL(request.url).pathname === "/away.js";
  if (isPage || isOurs)
    event.respondWith(fetch(request).catch(() => caches.match(isOurs ? "/away.js" : PAGE)));
});
