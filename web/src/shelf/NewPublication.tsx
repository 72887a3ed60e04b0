import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answered, client } from "../api/client";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { DraftField, Row } from "../ui/Field";
import { typedLength } from "../ui/length";
import { destinations } from "../publication/viewings";
import { Actions, Modal } from "../ui/Modal";
import { Failed } from "../ui/Notice";
import { SizeFields } from "../ui/SizeFields";
import { Tick } from "../ui/Tick";

type NewDestination = (typeof destinations)[number]["id"];

export function NewPublication({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const [trim, setTrim] = useState({ width: "148 mm", height: "210 mm" });
  const [bleed, setBleed] = useState("3 mm");
  const [pages, setPages] = useState("8");
  const [facing, setFacing] = useState(true);
  const [destination, setDestination] = useState("PAPER");

  const create = useMutation({
    mutationFn: () =>
      answered(
        client.POST("/api/publications", {
          body: {
            name,
            facing,
            destination: destination as NewDestination,
            pages: Number.parseInt(pages, 10) || 0,
            bleed: typedLength(bleed, "MM"),
            trim: {
              width: typedLength(trim.width, "MM"),
              height: typedLength(trim.height, "MM"),
            },
          },
        }),
      ),
    onSuccess: async (created) => {
      await queries.invalidateQueries({ queryKey: ["shelf"] });
      await navigate(`/publications/${created.id}`);
    },
  });

  return (
    <Modal title="New publication" isOpen={isOpen} onClose={onClose}>
      <DraftField label="Name" value={name} onChange={setName} />
      <Choice
        label="Destination"
        value={destination}
        options={destinations}
        onChange={setDestination}
      />
      <SizeFields size={trim} onChange={setTrim} />
      <Row $columns="repeat(auto-fit, minmax(120px, 1fr))">
        <DraftField label="Pages" value={pages} onChange={setPages} />
        <DraftField label="Bleed" value={bleed} onChange={setBleed} />
      </Row>
      <Tick label="Left and right pages face each other" checked={facing} onChange={setFacing} />
      {create.isError && (
        <p role="alert">
          <Failed>Not possible.</Failed> {create.error.message}
        </p>
      )}
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        <MainButton onPress={() => create.mutate()} isDisabled={create.isPending}>
          Create
        </MainButton>
      </Actions>
    </Modal>
  );
}
