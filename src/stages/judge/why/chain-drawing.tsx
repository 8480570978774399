"use client";

import { linkHorizontal, stratify } from "d3";
import { Fragment, useMemo } from "react";
import type { ChainLink } from "@/core/judge/chain";
import { percent } from "@/ui/odds";

const ROW = 34;
const STEP = 24;

const curve = linkHorizontal<{ source: [number, number]; target: [number, number] }, [number, number]>()
  .x(([x]) => x)
  .y(([, y]) => y);

/**
 * What failed first and what followed, as a tree that grows downwards: a full mark was found, an empty one
 * follows from what was found, with its odds.
 */
export function ChainDrawing({ chain }: { chain: readonly ChainLink[] }) {
  const rows = useMemo(() => {
    const tree = stratify<ChainLink & { readonly at: number }>()
      .id((l) => String(l.at))
      .parentId((l) => (l.after === undefined ? "" : String(l.after)))(chain.map((l, at) => ({ ...l, at })));
    const order: (typeof tree)[] = [];
    tree.eachBefore((n) => order.push(n));
    return order;
  }, [chain]);
  const deepest = Math.max(...rows.map((r) => r.depth));
  const left = 12 + deepest * STEP + 14;
  const place = (at: number): [number, number] => [12 + (rows[at]?.depth ?? 0) * STEP, at * ROW + ROW / 2];
  return (
    <figure aria-label="What failed first, what followed">
      <div className="relative" style={{ height: rows.length * ROW }}>
        <svg className="absolute inset-0 h-full" width={left} role="presentation">
          {rows.map((r, i) => {
            const up = r.parent ? rows.indexOf(r.parent) : -1;
            const [x, y] = place(i);
            return (
              <Fragment key={r.id}>
                {up >= 0 && (
                  <path
                    d={curve({ source: place(up), target: [x, y] }) ?? ""}
                    fill="none"
                    className="stroke-base-content"
                    strokeWidth={2}
                  />
                )}
              </Fragment>
            );
          })}
          {rows.map((r, i) => {
            const [cx, cy] = place(i);
            return (
              <circle
                key={r.id}
                cx={cx}
                cy={cy}
                r={7}
                strokeWidth={2.5}
                className={`stroke-base-content ${r.data.is === "sign" ? "fill-base-content" : "fill-base-100"}`}
              />
            );
          })}
        </svg>
        <ol className="absolute inset-0">
          {rows.map((r) => (
            <li
              key={r.id}
              style={{ height: ROW, paddingLeft: left }}
              className="flex items-center gap-3 text-[19px] leading-tight"
            >
              <span
                className={`min-w-0 flex-1 truncate first-letter:uppercase ${r.data.is === "root" ? "font-semibold" : ""}`}
                title={r.data.says}
              >
                {r.data.says}
              </span>
              <span className="hush shrink-0 text-[16px]">
                {r.data.is === "sign"
                  ? "found"
                  : r.data.is === "mechanism"
                    ? percent(r.data.probability)
                    : "if it began here"}
              </span>
            </li>
          ))}
        </ol>
      </div>
    </figure>
  );
}
