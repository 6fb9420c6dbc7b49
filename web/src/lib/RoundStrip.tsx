import { Flex } from "antd";
import { RingView } from "./RingView";
import { StripView, type StripProps } from "./StripView";
import { useNarrow } from "./useNarrow";

/** The strip; of a weld around a round member with the ring beside it, where there is room. */
export function RoundStrip(props: StripProps) {
  const narrow = useNarrow(900);
  if (props.strip.clock.length === 0 || narrow) return <StripView {...props} />;
  return (
    <Flex gap={10} align="center">
      <StripView {...props} className="grow" />
      <RingView
        strip={props.strip}
        cursor={props.cursor}
        onCursor={props.onCursor}
        chosen={props.chosen?.indications}
      />
    </Flex>
  );
}
