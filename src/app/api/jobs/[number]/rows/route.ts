import { rawJob } from "@/store/raw-job";

/** Every row of a job as it stands, to save what there is of one that cannot be read. */
export async function GET(_: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const { number } = await params;
  const rows = await rawJob(number);
  if (!rows) return Response.json({ says: `There is no job ${number}.` }, { status: 404 });
  return new Response(`${JSON.stringify(rows, null, 2)}\n`, {
    headers: { "content-type": "application/json", "content-disposition": 'attachment; filename="rows.json"' },
  });
}
