import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import { Field } from "./Field";

function show(multiline = false) {
  const onCommit = vi.fn<(value: string) => void>();
  render(<Field label="Depth" value="20 mm" onCommit={onCommit} multiline={multiline} />);
  return { onCommit, field: screen.getByLabelText("Depth"), user: userEvent.setup() };
}

describe("a field", () => {
  it("is taken on Enter", async () => {
    const { onCommit, field, user } = show();
    await user.clear(field);
    await user.type(field, "25 mm{Enter}");
    expect(onCommit).toHaveBeenCalledExactlyOnceWith("25 mm");
  });

  it("is taken when it is left, and once only", async () => {
    const { onCommit, field, user } = show();
    await user.clear(field);
    await user.type(field, "25 mm");
    await user.tab();
    expect(onCommit).toHaveBeenCalledExactlyOnceWith("25 mm");
  });

  it("gives the old value back on Escape", async () => {
    const { onCommit, field, user } = show();
    await user.type(field, "9{Escape}");
    await user.tab();
    expect(onCommit).not.toHaveBeenCalled();
    expect(field).toHaveValue("20 mm");
  });

  it("says nothing when nothing changed", async () => {
    const { onCommit, field, user } = show();
    await user.click(field);
    await user.tab();
    expect(onCommit).not.toHaveBeenCalled();
  });

  it("steps by the arrow keys and is stored once", async () => {
    const onCommit = vi.fn<(value: string) => void>();
    render(
      <Field
        label="Depth"
        value="20"
        onCommit={onCommit}
        step={(typed, by) => String(Number(typed) + by)}
      />,
    );
    const user = userEvent.setup();
    await user.click(screen.getByLabelText("Depth"));
    await user.keyboard("{ArrowUp}{ArrowUp}{Shift>}{ArrowDown}{/Shift}{Enter}");
    expect(onCommit).toHaveBeenCalledExactlyOnceWith("12");
  });

  it("with several lines takes Enter as a line break", async () => {
    const { onCommit, field, user } = show(true);
    await user.type(field, "{Enter}more");
    expect(onCommit).not.toHaveBeenCalled();
    await user.keyboard("{Control>}{Enter}{/Control}");
    expect(onCommit).toHaveBeenCalledExactlyOnceWith("20 mm\nmore");
  });

  it("keeps what was refused, to be mended, and does not send it again", async () => {
    const onCommit = vi.fn((value: string) => Promise.resolve(value !== "wide"));
    render(<Field label="Depth" value="20 mm" onCommit={onCommit} />);
    const user = userEvent.setup();
    const field = screen.getByLabelText("Depth");
    await user.clear(field);
    await user.type(field, "wide");
    await user.tab();
    await waitFor(() => expect(field).toHaveAttribute("aria-invalid", "true"));
    expect(field).toHaveValue("wide");
    await user.click(field);
    await user.tab();
    expect(onCommit).toHaveBeenCalledOnce();
    await user.clear(field);
    await user.type(field, "30 mm{Enter}");
    expect(onCommit).toHaveBeenLastCalledWith("30 mm");
    expect(field).not.toHaveAttribute("aria-invalid");
  });

  it("is not given back what was given up on Escape before it was refused", async () => {
    let refuse: (stored: boolean) => void = () => undefined;
    const stored = new Promise<boolean>((resolve) => {
      refuse = resolve;
    });
    render(<Field label="Depth" value="20 mm" onCommit={() => stored} />);
    const user = userEvent.setup();
    const field = screen.getByLabelText("Depth");
    await user.clear(field);
    await user.type(field, "-5 mm{Enter}");
    expect(field).toHaveValue("-5 mm");
    await user.keyboard("{Escape}");
    refuse(false);
    await stored;
    await waitFor(() => expect(field).toHaveValue("20 mm"));
    expect(field).not.toHaveAttribute("aria-invalid");
  });

  it("is not given back an older value that is refused late", async () => {
    let refuse: (stored: boolean) => void = () => undefined;
    const onCommit = vi
      .fn<(value: string) => unknown>()
      .mockReturnValueOnce(
        new Promise<boolean>((resolve) => {
          refuse = resolve;
        }),
      )
      .mockReturnValue(new Promise(() => {}));
    render(<Field label="Depth" value="20 mm" onCommit={onCommit} />);
    const user = userEvent.setup();
    const field = screen.getByLabelText("Depth");
    await user.clear(field);
    await user.type(field, "4000 mm{Enter}");
    await user.clear(field);
    await user.type(field, "30 mm{Enter}");
    refuse(false);
    await Promise.resolve();
    expect(field).toHaveValue("30 mm");
    expect(field).not.toHaveAttribute("aria-invalid");
  });
});
