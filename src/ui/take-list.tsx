/** Takes a list along as a file for a spreadsheet. */
export function TakeList({ name, what = 'list' }: { name: string; what?: string }) {
  return (
    <p className="small muted take-list">
      Download the {what}:{' '}
      <a href={`/api/lists/${name}?as=csv`} download className="entry">
        CSV
      </a>{' '}
      <a href={`/api/lists/${name}?as=xlsx`} download className="entry">
        XLSX
      </a>
    </p>
  );
}
