/** The checklist for the pressure side, whose leaks no airflow shows. */
export function PressureSide() {
  return (
    <section aria-label="Between blower and filter" className="pt-5">
      <h2 className="text-[18px]">Between blower and filter</h2>
      <p>
        Leaks there blow fine dust into the shop and hardly change any airflow. No reading finds
        them; your eyes do:
      </p>
      <ul className="list-disc pl-5">
        <li>Dust on the floor or the wall behind the filter, or a gray line along a seam.</li>
        <li>
          In a dark shop, a strong lamp beside the running filter: dust glitters where it comes out.
        </li>
        <li>The clamp or gasket of the filter, the bag’s band, and the bin under the filter.</li>
        <li>The joint at the blower’s outlet, and the shaft where it enters the housing.</li>
      </ul>
      <p className="pt-1 text-[14px] text-quiet">
        Wear a respirator. Use smoke only with the machines off, never a flame near dust. Keep hands
        away from the impeller: lock the blower off before you open it.
      </p>
    </section>
  );
}
