// Opens the page that was asked for as soon as the shop's computer answers.
const said = document.getElementById("said");
async function look() {
  try {
    await fetch("/api/state", { cache: "no-store", signal: AbortSignal.timeout(5000) });
    location.reload();
  } catch {
    said.textContent = `No answer at ${new Date().toLocaleTimeString("en-GB")}.`;
  }
}
document.getElementById("again").addEventListener("click", look);
setInterval(look, 4000);
