interface Props {
  /** What the last sizes made is still to be seen. */
  readonly hasDrawing: boolean;
}

/** Said where sizes make no template; what is wrong with them stands at the field. */
export function NoTemplate({ hasDrawing }: Props) {
  return (
    <p role="status" className="pt-2 text-[15px] text-starved-text">
      There is no template for these sizes.
      {hasDrawing && ' The drawing is of the last ones that made one; it cannot be saved.'}
    </p>
  );
}
