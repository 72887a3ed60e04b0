import type { Publication } from "../api/types";
import { Failed } from "../ui/Notice";
import { useAboutFiles } from "./useAboutFiles";

/** Seals of files and standards that they claim, with what becomes of both. */
export function AboutFiles({ publication }: { publication: Publication }) {
  const about = useAboutFiles(publication);
  const { signed, closed, claims } = about.data ?? { signed: [], closed: [], claims: [] };
  const doubted = claims.filter(({ doubt }) => doubt !== undefined);
  const holding = claims.filter(({ doubt }) => doubt === undefined);
  return (
    <>
      {signed.length > 0 && (
        <p>
          Signed: {signed.join(", ")}. What was signed stays valid; readers will say that something
          was added since.
        </p>
      )}
      {closed.length > 0 && (
        <p>
          <Failed>✕ Certified: {closed.join(", ")}.</Failed> That forbids any change of pages, so
          they will not go out; ask their author for files without it.
        </p>
      )}
      {holding.length > 0 && (
        <p>
          Claim a standard, which holds with what is added:{" "}
          {holding.map(({ name, standard }) => `${name} (${standard})`).join(", ")}.
        </p>
      )}
      {doubted.map(({ name, standard, doubt }) => (
        <p key={`${name} ${standard}`}>
          <Failed>✕ {`${name} claims ${standard}`}</Failed>, which will not hold. {doubt}
        </p>
      ))}
    </>
  );
}
