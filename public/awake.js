// A page that broke off on its way looks whole and hears nothing. When it has not woken some seconds after it was loaded, it is loaded again as soon as the shop's computer answers; five times in two minutes at most.
const TRIES = "loaded-again";
function mayTry() {
  try {
    const lately = JSON.parse(sessionStorage.getItem(TRIES) ?? "[]").filter(
      (at) => Date.now() - at < 120_000,
    );
    if (lately.length >= 5) return false;
    sessionStorage.setItem(TRIES, JSON.stringify([...lately, Date.now()]));
    return true;
  } catch {
    return false;
  }
}
// what React has woken bears its mark
const sleeps = () =>
  [...document.querySelectorAll("button, input, textarea")].some(
    (el) => !Object.keys(el).some((key) => key.startsWith("__reactProps")),
  );
const brokeOff = () => document.querySelector('template[id^="B:"]') !== null;
// what was typed meanwhile is typed again once the page hears
const TYPED = `typed:${location.pathname}`;
const keepTyped = () => {
  const typed = [...document.querySelectorAll("input[id], textarea[id]")].filter(
    (el) => el.value !== el.defaultValue && el.type !== "file" && el.type !== "password",
  );
  if (typed.length) sessionStorage.setItem(TYPED, JSON.stringify(typed.map((el) => [el.id, el.value])));
};
// a hand types on until the page is gone, and may leave it before anybody has noticed that it hears nothing
addEventListener("pagehide", () => (sleeps() || brokeOff()) && keepTyped());
const typeAgain = () => {
  const typed = JSON.parse(sessionStorage.getItem(TYPED) ?? "[]");
  sessionStorage.removeItem(TYPED);
  for (const [id, value] of typed) {
    const el = document.getElementById(id);
    if (!el) continue;
    // past React's own note of the value, so that it hears the change
    Object.getOwnPropertyDescriptor(Object.getPrototypeOf(el), "value").set.call(el, value);
    el.dispatchEvent(new Event("input", { bubbles: true }));
  }
};
async function look(times) {
  if (!brokeOff() && !sleeps()) return typeAgain();
  // a slow tablet is given time to wake; a page with a hole in it will not
  if (times > 0 && !brokeOff()) return void setTimeout(() => look(times - 1), 2000);
  const isHere = await fetch("/api/state", { cache: "no-store", signal: AbortSignal.timeout(5000) }).then(
    () => true,
    () => false,
  );
  if (!isHere) return void setTimeout(() => look(0), 2000);
  if (!mayTry()) return;
  keepTyped();
  location.reload();
}
// a screen that could not be shown because the shop's computer went away under it asks for the same (fault-page.tsx)
addEventListener("load-again", () => mayTry() && location.reload());
const begin = () => setTimeout(() => look(3), 1000);
if (document.readyState === "complete") begin();
else addEventListener("load", begin);
