import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { renderWith } from "../test/render";
import MeasurePicture from "./MeasurePicture";

it("asks for the scale before it measures, and says what is pointed at", async () => {
  const onTake = vi.fn();
  renderWith(
    <MeasurePicture
      src="/weld.png"
      title="Picture at 4 in"
      units="in"
      takes={[["x", "a pore"]]}
      onTake={onTake}
      onClose={vi.fn()}
    />,
    {
      "GET /api/pictures/quantities": () => ({
        json: [
          { id: "distance", title: "Distance", points: "the two ends", least: 2, most: 2 },
          { id: "diameter", title: "Diameter", points: "three places or more around the rim", least: 3, most: 20 },
        ],
      }),
    },
  );
  expect(await screen.findByText(/Touch two points of known distance, far apart: 0 of 2/)).toBeTruthy();
  expect(screen.queryByText("note")).toBeNull(); // a picture that is nowhere yet keeps no note
  fireEvent.click(screen.getByText("measure"));
  await waitFor(() => expect(screen.getByText("First the scale.")).toBeTruthy());
  expect(onTake).not.toHaveBeenCalled();
});
