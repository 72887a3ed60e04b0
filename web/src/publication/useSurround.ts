import { useEffect } from "react";
import { useKept } from "../ui/kept";

interface Surround {
  dark: boolean;
}

const light: Surround = { dark: false };

/** Whether pages stand on a dark grey or on a light one, both neutral (ISO 3664); kept here. */
export function useSurround(): [boolean, (dark: boolean) => void] {
  const [{ dark }, change] = useKept<Surround>(localStorage, "yewberry-surround", light);
  useEffect(() => {
    document.documentElement.dataset.surround = dark ? "dark" : "light";
  }, [dark]);
  return [dark, (wanted) => change(() => ({ dark: wanted }))];
}
