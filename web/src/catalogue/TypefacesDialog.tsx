import { useQuery, useQueryClient } from "@tanstack/react-query";
import { FileUp, X } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { answered, client, sendFile } from "../api/client";
import { useOptions } from "../api/queries";
import { theme } from "../theme";
import { Button, MainButton, QuietButton } from "../ui/Button";
import { Stack } from "../ui/Field";
import { FileButton } from "../ui/FileButton";
import { Name, Quiet, Values } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { useStatus } from "../ui/Status";
import { messageOf } from "../ui/words";

const Row = styled.li`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  border-top: 1px solid ${theme.color.rule};
  padding: 6px 0;
`;

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
`;

/** The fonts there are, and those of one's own. */
export function TypefacesDialog({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const status = useStatus();
  const options = useOptions();
  const [busy, setBusy] = useState("");
  const [wrong, setWrong] = useState<string[]>([]);
  const own = useQuery({
    queryKey: ["typefaces"],
    queryFn: () => answered(client.GET("/api/typefaces")),
  });
  const known = async () => {
    await queries.invalidateQueries({ queryKey: ["typefaces"] });
    await queries.invalidateQueries({ queryKey: ["options"] });
  };
  const bring = async (files: File[]) => {
    setWrong([]);
    for (const file of files) {
      setBusy(`Reading ${file.name}…`);
      try {
        const added = await sendFile<{ inWords: string }>(
          `/api/typefaces?name=${encodeURIComponent(file.name)}`,
          file,
        );
        status.say(`${added.inWords} can be chosen now`);
      } catch (error) {
        const reason = messageOf(error);
        setWrong((before) => [...before, `${file.name}: ${reason}`]);
      }
    }
    setBusy("");
    await known();
  };
  const remove = async (id: string) => {
    try {
      await answered(client.DELETE("/api/typefaces/{id}", { params: { path: { id } } }));
      await known();
    } catch (error) {
      setWrong([messageOf(error)]);
    }
  };
  return (
    <Modal title="Fonts" isOpen onClose={onClose}>
      <Stack>
        <List aria-label="Fonts of your own">
          {(own.data ?? []).map((face) => (
            <Row key={face.id}>
              <Name>
                {face.inWords}
                <Values>{face.rights}</Values>
              </Name>
              <QuietButton
                aria-label={`Remove ${face.inWords}`}
                onPress={() => void remove(face.id)}
              >
                <X size={15} aria-hidden />
              </QuietButton>
            </Row>
          ))}
          {(options.data?.families ?? [])
            .filter(({ shipped }) => shipped)
            .map((family) => (
              <Row key={family.name}>
                <Name>
                  {family.name}
                  <Values>
                    {family.weights.join(", ")}
                    {family.italic ? ", upright and italic" : ", upright"}
                  </Values>
                </Name>
                <Quiet>comes with Yewberry</Quiet>
              </Row>
            ))}
        </List>
        <div>
          <FileButton accepted={[".ttf", ".otf"]} several onFiles={(files) => void bring(files)}>
            <Button>
              <FileUp size={15} aria-hidden />
              Import fonts…
            </Button>
          </FileButton>
        </div>
        <Quiet role="status">
          {busy ||
            "TrueType and OpenType with TrueType outlines; what their makers allow is kept to. All publications here can use them."}
        </Quiet>
        {wrong.map((each) => (
          <p key={each} role="alert">
            {each}
          </p>
        ))}
      </Stack>
      <Actions>
        <MainButton onPress={onClose}>Done</MainButton>
      </Actions>
    </Modal>
  );
}
