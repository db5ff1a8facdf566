import { AutoComplete, Form, Input, InputNumber, Segmented, Select, type FormInstance } from "antd";
import { useState } from "react";

import {
  newId,
  useAddQuantity,
  useAmendQuantity,
  useWords,
  type Quantity,
  type Sheet,
} from "../api";
import { InstrumentDialog } from "../instruments/InstrumentDialog";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: Sheet;
  /** A quantity that is to be changed; else a new one is described. */
  changing?: Quantity;
  onKept: (id: string) => void;
  onClose: () => void;
}

interface Answers {
  name: string;
  symbol?: string;
  thing?: string;
  instrument: string;
  /** Not asked for where there is but one pair. */
  face?: string;
  /** Not asked for on a circle. */
  items?: number;
  pairs?: boolean;
  windows?: boolean;
  /** On a circle: whether half the sweep is wanted. */
  halved?: boolean;
}

const LENGTH_SORTS = (): [string, string] => [say("sheet-one-look"), say("sheet-looks-two")];
const CIRCLE_SORTS = (): [string, string] => [say("sheet-two-positions"), say("sheet-looks-four")];
const HALVED = (): [string, string] => [say("sheet-taken-swept"), say("sheet-taken-half")];

/** What is to be measured, and with which tool. */
export function QuantityDialog({ sheet, changing, onKept, onClose }: Props) {
  const [form] = Form.useForm<Answers>();
  const [describing, setDescribing] = useState(sheet.instruments.length === 0);
  const { keep, busy } = useKeep(sheet, changing, onKept);
  if (describing)
    return (
      <InstrumentDialog
        sheet={sheet}
        onClose={sheet.instruments.length === 0 ? onClose : () => setDescribing(false)}
        onAdded={(id) => {
          setDescribing(false);
          form.setFieldValue("instrument", id);
        }}
      />
    );
  return (
    <Dialog
      title={changing ? changing.name : say("sheet-new-quantity")}
      width={600}
      okText={say(changing ? "instruments-change-it" : "sheet-measure-it")}
      confirmLoading={busy}
      onOk={() => form.submit()}
      onCancel={onClose}
    >
      <Form
        form={form}
        layout="vertical"
        requiredMark={false}
        scrollToFirstError={{ focus: true }}
        onFinish={keep}
        initialValues={
          changing ? answersOf(changing) : { ...USUAL, instrument: sheet.instruments.at(-1)?.id }
        }
      >
        <Questions
          {...{ sheet, form }}
          started={(changing?.reading_count ?? 0) > 0}
          onDescribe={() => setDescribing(true)}
        />
      </Form>
    </Dialog>
  );
}

const USUAL = { items: 1, pairs: false, windows: false, halved: false, face: "outside" };

/** What was answered when a quantity was described. */
const answersOf = (quantity: Quantity): Answers => ({
  name: quantity.name,
  symbol: quantity.symbol,
  thing: quantity.thing,
  instrument: quantity.instrument,
  face: quantity.face || "outside",
  items: quantity.items,
  pairs: quantity.sort === "pair",
  windows: quantity.sort === "pair with two windows",
  halved: quantity.divide_by === 2,
});

/** Keeps the quantity that the answers describe. */
function useKeep(sheet: Sheet, changing: Quantity | undefined, onKept: (id: string) => void) {
  const showError = useShowError();
  const add = useAddQuantity(sheet.id);
  const amend = useAmendQuantity(sheet.id);
  function keep({
    name,
    symbol,
    thing,
    instrument,
    face = "outside",
    items = 1,
    ...asked
  }: Answers) {
    const id = changing?.id ?? newId();
    const angular = sheet.instruments.some((one) => one.id === instrument && one.traits.circular);
    // Zero checks made on these faces before are taken over: looking once is enough.
    const zero = sheet.zero_checks
      .filter((check) => check.instrument === instrument && check.face === face)
      .map((check) => check.id);
    const moved = changing?.instrument !== instrument || (changing.face || "outside") !== face;
    const described = {
      name: name.trim(),
      symbol: symbol?.trim() ?? "",
      thing: thing?.trim() ?? "",
      instrument,
      face,
      items,
      pairs: asked.pairs ? true : null,
      windows: asked.windows ? true : null,
      divide_by: angular && asked.halved ? 2 : null,
    };
    const outcome = {
      onSuccess: () => onKept(id),
      onError: showError,
    };
    // A zero belongs to its tool and its faces.
    if (changing)
      amend.mutate({ seen: changing, ...described, ...(moved ? { zero } : {}) }, outcome);
    else add.mutate({ id, ...described, zero }, outcome);
  }
  return { keep, busy: add.isPending || amend.isPending };
}

/** The things of a sheet, each once. */
const thingsOf = ({ quantities }: Sheet) => [
  ...new Set(quantities.map(({ thing }) => thing).filter(Boolean)),
];

const holds = (text: string, typed: string) =>
  text.toLocaleLowerCase().includes(typed.trim().toLocaleLowerCase());

interface QuestionsProps {
  sheet: Sheet;
  form: FormInstance<Answers>;
  /** Whether it has readings: how many looks make one is then settled. */
  started: boolean;
  /** A tool is to be described first. */
  onDescribe: () => void;
}

function Questions({ sheet, form, started, onDescribe }: QuestionsProps) {
  const { data: words } = useWords();
  const picked =
    (Form.useWatch("instrument", form) as string | undefined) ?? sheet.instruments.at(-1)?.id;
  const tool = sheet.instruments.find(({ id }) => id === picked);
  const known = words?.kinds.find(({ kind }) => kind === tool?.kind);
  const faces = known?.faces ?? [];
  return (
    <>
      <div className="quantity-names">
        <Form.Item
          name="name"
          label={say("sheet-quantity-name")}
          rules={[
            {
              required: true,
              whitespace: true,
              message: say("sheet-quantity-name-wanted"),
            },
          ]}
        >
          <Input autoFocus maxLength={200} placeholder={say("sheet-lower-spreader-outside")} />
        </Form.Item>
        <Form.Item name="symbol" label={say("sheet-quantity-letter")}>
          <Input
            maxLength={20}
            placeholder={say("app-for-example", { what: tool?.traits.circular ? "θ" : "D" })}
          />
        </Form.Item>
      </div>
      <Form.Item name="thing" label={say("sheet-quantity-thing")}>
        <AutoComplete
          maxLength={200}
          placeholder={say("sheet-quantity-thing-example")}
          options={thingsOf(sheet).map((value) => ({ value }))}
          showSearch={{ filterOption: (typed, option) => holds(option?.value ?? "", typed) }}
        />
      </Form.Item>
      <Form.Item name="instrument" label={say("sheet-measured-with")}>
        <Select
          options={[
            ...sheet.instruments.map((instrument) => ({
              value: instrument.id,
              label: `${instrument.name}, ${instrument.least_count_text}`,
            })),
            { value: "", label: say("sheet-another-tool") },
          ]}
          onChange={(value: string) => {
            if (value === "") {
              form.setFieldValue("instrument", sheet.instruments.at(-1)?.id);
              onDescribe();
            }
          }}
        />
      </Form.Item>
      {faces.length > 1 && (
        <Form.Item name="face" label={say("sheet-taken-with")}>
          <Segmented
            aria-label={say("sheet-taken-with")}
            options={faces.map(({ id, name, measures }) => ({
              value: id,
              label: `${name}: ${measures}`,
            }))}
          />
        </Form.Item>
      )}
      {tool?.traits.circular ? (
        <>
          <Choice
            name="windows"
            label={say("sheet-quantity-looks")}
            options={CIRCLE_SORTS()}
            settled={started}
          />
          <Choice name="halved" label={say("sheet-quantity-taken")} options={HALVED()} />
        </>
      ) : (
        <>
          <Choice
            name="pairs"
            label={say("sheet-quantity-looks")}
            options={LENGTH_SORTS()}
            settled={started}
          />
          <Form.Item name="items" label={say("sheet-stack")} extra={say("sheet-stack-why")}>
            <InputNumber controls={false} min={1} max={100000} precision={0} />
          </Form.Item>
        </>
      )}
      {known && <p className="quantity-care">{known.care}</p>}
    </>
  );
}

interface ChoiceProps {
  name: keyof Answers;
  label: string;
  /** What is usual, and the other. */
  options: [string, string];
  /** Whether it cannot be changed any more. */
  settled?: boolean;
}

/** One of two, as a field that is only sent where it is asked for. */
function Choice({ name, label, options: [usual, other], settled = false }: ChoiceProps) {
  return (
    <Form.Item name={name} label={label}>
      <Segmented
        aria-label={label}
        disabled={settled}
        options={[
          { value: false, label: usual },
          { value: true, label: other },
        ]}
      />
    </Form.Item>
  );
}
