import { Button, Checkbox, Form, InputNumber, Select } from "antd";

import { useAmendQuantity, type Quantity } from "../api";
import { Dialog } from "../common/overlays";
import { useShowError } from "../common/useShowError";
import { say } from "../voice";

interface Props {
  sheet: string;
  quantity: Quantity;
  /** Whether its tool has a zero that is looked at. */
  zero: boolean;
  onClose: () => void;
}

interface Answers {
  places: string[];
  each: number;
  zero: ("before" | "after")[];
}

const MOST_PLACES = 50;
const MOST_EACH = 100;

/** What is to be read of a quantity: where, how often, and when its zero is looked at. */
export function PlanDialog({ sheet, quantity, zero, onClose }: Props) {
  const [form] = Form.useForm<Answers>();
  const places = (Form.useWatch("places", form) as string[] | undefined) ?? [];
  const amend = useAmendQuantity(sheet);
  const showError = useShowError();
  const keep = (plan: Answers | null) =>
    amend.mutate({ seen: quantity, plan }, { onSuccess: onClose, onError: showError });
  const seen = [...new Set(quantity.readings.map((reading) => reading.place))].filter(Boolean);
  return (
    <Dialog
      title={say("plan-title", { name: quantity.name })}
      okText={say("plan-keep")}
      confirmLoading={amend.isPending}
      onOk={() => form.submit()}
      onCancel={onClose}
      footer={(buttons) => (
        <>
          {quantity.plan && <Button onClick={() => keep(null)}>{say("plan-drop")}</Button>}
          {buttons}
        </>
      )}
    >
      <Form
        form={form}
        layout="vertical"
        requiredMark={false}
        onFinish={(given) => keep({ ...given, zero: zero ? given.zero : [] })}
        initialValues={quantity.plan ?? { places: [], each: 3, zero: [] }}
      >
        <Form.Item name="places" label={say("plan-places")} extra={say("plan-places-why")}>
          <Select
            mode="tags"
            autoFocus
            {...(seen.length > 0 ? {} : { open: false })}
            suffix={null}
            maxCount={MOST_PLACES}
            tokenSeparators={[",", ";", "\n"]}
            placeholder={say("plan-places-example")}
            options={seen.map((value) => ({ value }))}
          />
        </Form.Item>
        <Form.Item
          name="each"
          label={say(places.length > 0 ? "plan-each" : "plan-each-anywhere")}
          rules={[{ required: true, message: say("plan-each-wanted", { most: MOST_EACH }) }]}
        >
          <InputNumber controls={false} min={1} max={MOST_EACH} precision={0} />
        </Form.Item>
        {zero && (
          <Form.Item name="zero" label={say("plan-zero")}>
            <Checkbox.Group
              options={[
                { value: "before", label: say("plan-zero-before") },
                { value: "after", label: say("plan-zero-after") },
              ]}
            />
          </Form.Item>
        )}
      </Form>
    </Dialog>
  );
}
