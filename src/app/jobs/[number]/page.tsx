import { notFound, redirect } from "next/navigation";
import { loadHead } from "@/store/job";

/** A job's own address leads to the stage where it stands. */
export default async function Page({ params }: { params: Promise<{ number: string }> }) {
  const head = await loadHead((await params).number);
  if (!head) notFound();
  redirect(`/jobs/${head.number}/${head.stage}`);
}
