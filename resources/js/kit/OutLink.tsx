/** An address written out, opened beside the application. */
export function OutLink({ to }: { to: string }) {
  return (
    <a href={to} target="_blank" rel="noreferrer" className="break-all text-pine underline underline-offset-4">
      {to}
    </a>
  );
}
