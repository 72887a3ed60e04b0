import { useEffect } from "react";
import { BrowserRouter, Route, Routes } from "react-router";
import { useLeaving } from "./api/useLeaving";
import { PublicationScreen } from "./publication/PublicationScreen";
import { useFollowing } from "./publication/useOthers";
import { Shelf } from "./shelf/Shelf";
import { CommandsProvider } from "./ui/CommandField";
import { lazily, readAll } from "./ui/lazily";
import { StatusProvider } from "./ui/Status";

const Bench = lazily(async () => (await import("./bench/Bench")).Bench);
const Flatplan = lazily(async () => (await import("./flatplan/Flatplan")).Flatplan);
const Pairings = lazily(async () => (await import("./pairings/Pairings")).Pairings);
const Findings = lazily(async () => (await import("./findings/Findings")).Findings);
const Output = lazily(async () => (await import("./output/Output")).Output);

export function App() {
  useFollowing();
  useLeaving();
  useEffect(readAll, []);
  return (
    <BrowserRouter>
      <StatusProvider>
        <CommandsProvider>
          <Routes>
            <Route path="/" element={<Shelf />} />
            <Route path="/publications/:id" element={<PublicationScreen />}>
              <Route index element={<Bench />} />
              <Route path="flatplan" element={<Flatplan />} />
              <Route path="pairings" element={<Pairings />} />
              <Route path="findings" element={<Findings />} />
              <Route path="output" element={<Output />} />
            </Route>
          </Routes>
        </CommandsProvider>
      </StatusProvider>
    </BrowserRouter>
  );
}
