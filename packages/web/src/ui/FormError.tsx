/** Why a form was not taken, beneath its fields; keeps its place while there is nothing to say. */
export function FormError({ children }: { readonly children: string }) {
  return (
    <p role="alert" className="min-h-6 font-semibold text-hazard">
      {children}
    </p>
  );
}
