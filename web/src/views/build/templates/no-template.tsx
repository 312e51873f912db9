/** Said where sizes make no template; what is wrong with them stands at the field. */
export function NoTemplate() {
  return (
    <p role="status" className="pt-2 text-[15px] text-quiet">
      There is no template for these sizes.
    </p>
  );
}
