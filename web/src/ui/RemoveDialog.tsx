import { useState, type ReactNode } from "react";
import { Button, MainButton } from "./Button";
import { Choice } from "./Choice";
import { Actions, Modal } from "./Modal";

/** What takes the place of what goes, where it is used. */
export interface Instead {
  label: string;
  options: { id: string; label: string }[];
  /** Chosen at first; without it, something has to be chosen. */
  begin?: string | undefined;
}

/** Asks before something goes: what goes with it, and what takes its place. */
export function RemoveDialog({
  title,
  children,
  instead,
  label,
  other,
  onRemove,
  onClose,
}: {
  title: string;
  /** What is to be known before it goes. */
  children: ReactNode;
  /** Only where it is used. */
  instead?: Instead | undefined;
  /** Of the button that removes, where that is not the usual one. */
  label?: string;
  /** Another way to remove it. */
  other?: { label: string; run: () => void } | undefined;
  onRemove: (replacement?: string) => void;
  onClose: () => void;
}) {
  const [replacement, setReplacement] = useState(instead?.begin);
  const remove = (act: () => void) => {
    onClose();
    act();
  };
  return (
    <Modal title={title} isOpen onClose={onClose}>
      <p>{children}</p>
      {instead && (
        <Choice
          label={instead.label}
          value={replacement}
          options={instead.options}
          onChange={setReplacement}
        />
      )}
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        {other && <Button onPress={() => remove(other.run)}>{other.label}</Button>}
        <MainButton
          isDisabled={instead !== undefined && replacement === undefined}
          onPress={() => remove(() => onRemove(instead ? replacement : undefined))}
        >
          {label ?? (instead ? "Replace and remove" : "Remove")}
        </MainButton>
      </Actions>
    </Modal>
  );
}
