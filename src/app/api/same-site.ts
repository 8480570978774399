/** A page of another site must not be able to send anything here; null: it did not. */
export function fromElsewhere(request: Request): Response | null {
  const origin = request.headers.get("origin");
  if (!origin || (URL.canParse(origin) && new URL(origin).host === request.headers.get("host"))) return null;
  return Response.json({ says: "Refused: this came from another site." }, { status: 403 });
}
