import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answered, client } from "../api/client";
import { useOptions } from "../api/queries";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { DraftField, Row } from "../ui/Field";
import { typedLength } from "../ui/length";
import { destinations } from "../publication/viewings";
import { Actions, Modal } from "../ui/Modal";
import { Failed } from "../ui/Notice";
import { Tick } from "../ui/Tick";

type NewDestination = (typeof destinations)[number]["id"];

const custom = "Custom";

export function NewPublication({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const options = useOptions();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const [size, setSize] = useState("A5");
  const [width, setWidth] = useState("148 mm");
  const [height, setHeight] = useState("210 mm");
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
            trim: { width: typedLength(width, "MM"), height: typedLength(height, "MM") },
          },
        }),
      ),
    onSuccess: async (created) => {
      await queries.invalidateQueries({ queryKey: ["shelf"] });
      await navigate(`/publications/${created.id}`);
    },
  });

  const sizes = options.data?.sizes ?? [];
  return (
    <Modal title="New publication" isOpen={isOpen} onClose={onClose}>
      <DraftField label="Name" value={name} onChange={setName} />
      <Choice
        label="Goes to"
        value={destination}
        options={destinations}
        onChange={setDestination}
      />
      <Row $columns="repeat(auto-fit, minmax(120px, 1fr))">
        <Choice
          label="Trim size"
          value={size}
          options={[...sizes.map((each) => each.name), custom].map((id) => ({ id, label: id }))}
          onChange={(chosen) => {
            setSize(chosen);
            const known = sizes.find((each) => each.name === chosen);
            if (known) {
              setWidth(known.size.width);
              setHeight(known.size.height);
            }
          }}
        />
        <DraftField
          label="Width"
          value={width}
          onChange={(text) => {
            setWidth(text);
            setSize(custom);
          }}
        />
        <DraftField
          label="Height"
          value={height}
          onChange={(text) => {
            setHeight(text);
            setSize(custom);
          }}
        />
      </Row>
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
