import { changing } from "@/app/api/changing";
import { rawJob } from "@/store/raw-job";

/** Every row of a job as it stands, customer and all: to save what there is of one that cannot be read. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const { number } = await params;
  return changing(request, "owner", async () => {
    const rows = await rawJob(number);
    if (!rows) return Response.json({ says: `There is no job ${number}.` }, { status: 404 });
    return new Response(`${JSON.stringify(rows, null, 2)}\n`, {
      headers: {
        "content-type": "application/json",
        "content-disposition": 'attachment; filename="rows.json"',
      },
    });
  });
}
