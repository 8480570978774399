import type { ReactNode } from "react";
import { KeyLink } from "@/ui/key-link";
import { PageTitle } from "@/ui/page-title";

/** The head of a screen that belongs to no job: its name, what can be done from it, and the way back. */
export function ShopHead({
  title,
  back,
  children,
}: {
  title: string;
  back: { href: string; says: string };
  children?: ReactNode;
}) {
  return (
    <header className="flex items-center gap-4 border-b-4 border-secondary px-5 py-2.5">
      <PageTitle says={title} />
      <h1 className={`text-[27px] ${children ? "" : "flex-1"}`}>{title}</h1>
      {children}
      <KeyLink href={back.href} keyName="Escape">
        {back.says}
      </KeyLink>
    </header>
  );
}
