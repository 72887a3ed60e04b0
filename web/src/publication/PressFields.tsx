import { useMutation, useQueryClient } from "@tanstack/react-query";
import { FileUp } from "lucide-react";
import { sendFile } from "../api/client";
import { readColor, usePressConditions } from "../api/queries";
import type { Publication, Setup } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Row } from "../ui/Field";
import { FileButton } from "../ui/FileButton";
import { Quiet } from "../ui/Fold";
import { useStatus } from "../ui/Status";
import { messageOf } from "../ui/words";

type Press = Setup["press"];

/** What the publication is printed by, and on which paper. */
export function PressFields({
  publication,
  press,
  onChange,
}: {
  publication: Publication;
  /** As it is now, what was just changed included. */
  press: Press;
  onChange: (press: Press) => unknown;
}) {
  const conditions = usePressConditions();
  const queries = useQueryClient();
  const status = useStatus();
  const condition = conditions.data?.find((each) => each.id === press.condition);
  const change = (changed: Partial<Press>) => onChange({ ...press, ...changed });

  const bring = useMutation({
    mutationFn: (file: File) =>
      sendFile<{ id: string; name: string }>(
        `/api/press-conditions?name=${encodeURIComponent(file.name.replace(/\.icc$|\.icm$/i, ""))}`,
        file,
      ),
    onSuccess: async (added) => {
      await queries.invalidateQueries({ queryKey: ["press-conditions"] });
      status.say(`“${added.name}” can be chosen now`);
    },
    onError: (error) => status.fail(error.message),
  });

  const lab = press.stock ?? condition?.paper;
  const stock = lab ? `lab(${tenth(lab.lightness)} ${tenth(lab.a)} ${tenth(lab.b)})` : "";
  const setStock = async (text: string) => {
    if (text.trim() === "") {
      onChange({ condition: press.condition, stockIsReal: false });
      return;
    }
    try {
      const color = await readColor(publication, text);
      change({ stock: color.lab, stockIsReal: false });
    } catch (error) {
      status.fail(messageOf(error));
    }
  };

  return (
    <>
      <Row $columns="minmax(0, 1fr) auto">
        <Choice
          label="Press condition"
          value={press.condition}
          options={(conditions.data ?? []).map((each) => ({
            id: each.id,
            label: `${each.name}, ink up to ${each.inkLimit} %`,
          }))}
          onChange={(id) => change({ condition: id })}
        />
        <FileButton accepted={[".icc", ".icm"]} onFiles={([file]) => file && bring.mutate(file)}>
          <Button isDisabled={bring.isPending}>
            <FileUp size={15} aria-hidden />
            ICC profile…
          </Button>
        </FileButton>
      </Row>
      <Field
        label={press.stock ? "Stock (empty: that of the press condition)" : "Stock, as measured"}
        value={stock}
        onCommit={setStock}
      />
      <Quiet>The stock is only simulated on the screen; it is never output.</Quiet>
    </>
  );
}

/** One decimal at most, and never a minus before a zero. */
function tenth(value: number): string {
  return String(Number(value.toFixed(1)) + 0);
}
