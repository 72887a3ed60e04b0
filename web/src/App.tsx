import { BrowserRouter, Route, Routes } from "react-router";
import { Bench } from "./bench/Bench";
import { Flatplan } from "./flatplan/Flatplan";
import { Findings } from "./findings/Findings";
import { Pairings } from "./pairings/Pairings";
import { Output } from "./output/Output";
import { useFollowing } from "./publication/useOthers";
import { PublicationScreen } from "./publication/PublicationScreen";
import { Shelf } from "./shelf/Shelf";
import { CommandsProvider } from "./ui/CommandField";
import { StatusProvider } from "./ui/Status";

export function App() {
  useFollowing();
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
