/** Stands where a form is about to be, for the moment until its script is here. */
export function Opening() {
  return (
    <div className="opening" role="status">
      One moment …
    </div>
  );
}
