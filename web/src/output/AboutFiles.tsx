import type { Publication } from "../api/types";
import { Failed } from "../ui/Notice";
import { counted } from "../ui/words";
import { useAboutFiles } from "./useAboutFiles";

/** Seals of files and standards that they claim, with what becomes of both. */
export function AboutFiles({ publication }: { publication: Publication }) {
  const about = useAboutFiles(publication);
  const { signed, closed, claims, medium, switched } = about.data ?? {
    signed: [],
    closed: [],
    claims: [],
    medium: "SCREEN",
    switched: 0,
  };
  const doubted = claims.filter(({ doubt }) => doubt !== undefined);
  const holding = claims.filter(({ doubt }) => doubt === undefined);
  return (
    <>
      {switched > 0 && (
        <p>
          {counted(switched, "background or picture goes", "backgrounds and pictures go")} to the
          screen or to paper only: readers switch {switched === 1 ? "it" : "them"} when they show or
          print the file. One that cannot switch shows what goes to{" "}
          {medium === "SCREEN" ? "the screen" : "paper"}.
        </p>
      )}
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
