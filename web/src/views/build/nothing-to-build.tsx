/** Said where a shop has no ducts. */
export function NothingToBuild() {
  return (
    <p className="px-4 py-3 text-[17px] text-quiet">
      First connect a machine under Air, or draw its duct on the Floor: there is nothing to build
      yet.
    </p>
  );
}
