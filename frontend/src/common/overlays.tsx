import { Drawer, Dropdown, Modal, Popover } from "antd";
import type { DrawerProps, MenuProps, ModalProps, PopoverProps } from "antd";
import {
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type ReactElement,
  type ReactNode,
} from "react";

import { resumeNow } from "./hand";

/** What opens over the page for a moment: whatever opens from it belongs to what opened it. */
const PASSING = ".ant-popover, .ant-dropdown";
const REACHED = "button, input, select, textarea, a[href], [tabindex='0']";

let lastOnPage: Element | null = null;
document.addEventListener("focusin", ({ target }) => {
  if (target instanceof Element && !target.closest(PASSING)) lastOnPage = target;
});

const focused = () =>
  document.activeElement?.closest(PASSING) ? lastOnPage : document.activeElement;

/**
 * Gives the focus back, unless the hand has gone on to something else: to figures that wait to be
 * kept, else to where it came from; where that is gone, to where the next figure goes.
 */
function giveBack(home: Element | null) {
  const give = () => {
    const now = document.activeElement;
    const left = !now || now === document.body || now.closest(PASSING) || now === home;
    if (!left || resumeNow(true)) return;
    if (home instanceof HTMLElement && home.isConnected) home.focus();
    else resumeNow();
  };
  // At once, as the next key may already be on its way; and after what a click or antd focuses.
  give();
  requestAnimationFrame(give);
}

/** Gives the focus back to where it was when this first came, once it is gone. */
function useFocusHome() {
  const [home] = useState(focused);
  useEffect(() => () => giveBack(home), [home]);
}

/** A dialog, there while it is shown; with buttons of its own where it has something to do. */
export function Dialog(props: ModalProps) {
  useFocusHome();
  return <Modal open {...(props.onOk ? {} : { footer: null })} {...props} />;
}

/** A panel at the side, there while it is shown. */
export function SidePanel(props: DrawerProps) {
  useFocusHome();
  return <Drawer open size="large" {...props} />;
}

/** Up and down go from one thing that can be reached to the next, where they mean nothing else. */
function goAlong(event: KeyboardEvent<HTMLElement>) {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  const from = event.target as HTMLElement;
  const own = from.matches("input:not([type='checkbox']), textarea, [role='combobox']");
  if (step === undefined || own) return;
  const reached = [...event.currentTarget.querySelectorAll<HTMLElement>(REACHED)];
  const next = reached[reached.indexOf(from) + step];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

interface BubbleProps extends Omit<PopoverProps, "content"> {
  content: ReactNode;
}

/** A small form or choice beside what it belongs to; the focus goes into it, and back. */
export function Bubble({ content, open, onOpenChange, ...props }: BubbleProps) {
  const [own, setOwn] = useState(false);
  const inside = useRef<HTMLDivElement>(null);
  const home = useRef<Element | null>(null);
  return (
    <Popover
      trigger="click"
      {...props}
      content={
        <div ref={inside} onKeyDown={goAlong}>
          {content}
        </div>
      }
      open={open ?? own}
      onOpenChange={(shown) => {
        // A quick hand does not wait until it has opened, or is gone.
        if (shown) home.current = lastOnPage;
        else giveBack(home.current);
        setOwn(shown);
        onOpenChange?.(shown);
      }}
      afterOpenChange={(shown) => {
        if (!shown) {
          giveBack(home.current);
          home.current = null;
          return;
        }
        home.current ??= lastOnPage;
        const held = inside.current;
        if (!held?.contains(document.activeElement))
          held?.querySelector<HTMLElement>(REACHED)?.focus();
      }}
    />
  );
}

interface MenuOfActsProps {
  acts: NonNullable<MenuProps["items"]>;
  /** The button that opens it. */
  children: ReactElement;
}

/** What can be done with a thing: by the arrow keys, and the focus goes back. */
export function MenuOfActs({ acts, children }: MenuOfActsProps) {
  return (
    <Dropdown
      autoFocus
      trigger={["click"]}
      menu={{ items: acts }}
      placement="bottomRight"
      onOpenChange={(shown) => !shown && giveBack(lastOnPage)}
    >
      {children}
    </Dropdown>
  );
}
