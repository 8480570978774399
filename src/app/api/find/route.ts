import { findJobs } from "@/store/find-jobs";

/** Jobs that have all the words of `q`. */
export async function GET(request: Request): Promise<Response> {
  return Response.json(await findJobs((new URL(request.url).searchParams.get("q") ?? "").slice(0, 200)));
}
