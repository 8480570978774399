/** The frame of a job while its screen is on its way: nothing jumps when it comes. */
export default function Loading() {
  return (
    <div className="job-frame" aria-busy="true">
      <header className="flex h-[58px] items-center px-5">
        <p className="hush text-[27px]">One moment …</p>
      </header>
      <div
        className="h-[52px] border-t-2 border-base-content"
        style={{ background: "linear-gradient(#ecd094, #c4953a 55%, #a9781f)" }}
      />
    </div>
  );
}
