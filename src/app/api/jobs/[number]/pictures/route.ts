import { revalidatePath } from "next/cache";
import { fromElsewhere } from "@/app/api/same-site";
import { Fault } from "@/core/fault";
import { addPicture, MOST_BYTES } from "@/store/pictures";

const ROLES = ["intake", "step", "finding", "condition", "loose", "variant"] as const;

/** A picture for a job: a form with `picture`, `role` and where it belongs. */
export async function POST(request: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const { number } = await params;
  const refused = fromElsewhere(request);
  if (refused) return refused;
  if (Number(request.headers.get("content-length") ?? 0) > MOST_BYTES + 100_000)
    return Response.json({ says: "The picture is larger than 25 MB." }, { status: 413 });
  try {
    const form = await request.formData();
    const picture = form.get("picture");
    if (!(picture instanceof Blob)) throw new Fault("picture", "No picture came with this.");
    const role = ROLES.find((r) => r === form.get("role")) ?? "intake";
    const text = (name: string): string | undefined => (typeof form.get(name) === "string" && form.get(name) ? String(form.get(name)) : undefined);
    const added = await addPicture(number, Buffer.from(await picture.arrayBuffer()), {
      role,
      step: text("step"),
      part: text("part"),
      key: text("key"),
      stepKey: text("stepKey"),
    });
    revalidatePath(`/jobs/${number}`, "layout");
    return Response.json(added);
  } catch (e) {
    if (e instanceof Fault) return Response.json({ says: e.says }, { status: 422 });
    if (e instanceof TypeError) return Response.json({ says: "The picture was broken off on its way. Try again." }, { status: 400 });
    throw e;
  }
}
