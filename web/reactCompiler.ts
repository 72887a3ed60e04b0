import { transformAsync } from "@babel/core";
import type { Plugin } from "vite";

/** Remembers what a component made, so that one edit draws only what it changed. */
export function reactCompiler(): Plugin {
  return {
    name: "react-compiler",
    enforce: "pre",
    transform: {
      filter: { id: /\/src\/[^?]*\.tsx?$/ },
      async handler(code, id) {
        const syntax = id.endsWith("x") ? ["typescript", "jsx"] : ["typescript"];
        const result = await transformAsync(code, {
          filename: id,
          babelrc: false,
          configFile: false,
          parserOpts: { plugins: syntax as ("typescript" | "jsx")[] },
          // what it could not compile would be drawn anew each time, and nobody would know
          plugins: [["babel-plugin-react-compiler", { panicThreshold: "all_errors" }]],
          sourceMaps: true,
        });
        return { code: result?.code ?? code, map: result?.map };
      },
    },
  };
}
