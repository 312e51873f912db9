/** Stands where a part of a view will, for the moment it takes to load. */
export const PartLoading = () => <span data-loading className="block min-h-7" />;
