/** What not to do, and what is good to know. */
export function Counsel({ doNot, goodToKnow }: { doNot: readonly string[]; goodToKnow: readonly string[] }) {
  return (
    <dl className="mt-3 grid gap-x-8 gap-y-2 sm:grid-cols-2">
      <div>
        <dt className="font-semibold">What not to do</dt>
        <dd>
          <ul className="list-disc pl-5">
            {doNot.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </dd>
      </div>
      {goodToKnow.length > 0 && (
        <div>
          <dt className="font-semibold">Good to know</dt>
          <dd>
            <ul className="list-disc pl-5">
              {goodToKnow.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </dd>
        </div>
      )}
    </dl>
  );
}
