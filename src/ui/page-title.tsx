/** What the page is called in the browser and in its history. React puts it into the head. */
export const PageTitle = ({ says }: { says: string }) => <title>{`${says} · Demontage`}</title>;
