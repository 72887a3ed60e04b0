import type { Job } from "../api/types";
import { Failed } from "../ui/Notice";
import { counted } from "../ui/words";
import { Scroll, Table, Verdict } from "./ReportTable";

/** What became of each file of a set. */
export function FileResults({ files }: { files: Job["files"] }) {
  const wrong = files.filter((file) => file.problem).length;
  return (
    <div>
      <Verdict>
        {wrong === 0 ? (
          <>
            <strong>✓ Read back: all is where it should be</strong>, in{" "}
            {counted(files.length, "file", "files")}.
          </>
        ) : (
          <Failed>
            ✕ {counted(wrong, "file is", "files are")} missing or not as composed, of {files.length}
            .
          </Failed>
        )}
      </Verdict>
      <Scroll tabIndex={0} role="region" aria-label="Files">
        <Table>
          <thead>
            <tr>
              <th scope="col">File</th>
              <th scope="col">Pages changed</th>
              <th scope="col">Verdict</th>
            </tr>
          </thead>
          <tbody>
            {files.map((file) => (
              <tr key={file.name}>
                <th scope="row">{file.name}</th>
                <td>{file.pages}</td>
                <td>
                  {file.problem ? <Failed>✕ {file.problem}</Failed> : "✓ as composed"}
                  {file.repaired && (
                    <div>It came damaged, and was written anew instead of added to.</div>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroll>
    </div>
  );
}
