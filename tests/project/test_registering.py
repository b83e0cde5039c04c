"""What the Register station says to do at the kento."""

from nomos.demo import demo_project, scenario_called
from nomos.project.register.edits import with_offset
from nomos.project.register.system import cure_text
from nomos.proof import Misregister


def test_a_pull_out_of_register_gets_its_cure_and_a_way_that_takes_no_wood() -> None:
    project, _ = demo_project(scenario_called("glasshouse"))
    pull = project.impressions[2]
    assert cure_text(project, pull) == ""
    out = with_offset(project, pull.id, Misregister(0.3, 0.2))
    said = cure_text(out, out.impression(pull.id))
    assert "Glue a strip of 0.30 mm onto the side of the corner notch." in said
    assert "Pare 0.20 mm from the base of the straight notch." in said
    without = said.split("Or take no wood away:")[1]
    assert "Glue a strip of 0.30 mm onto the side of the corner notch." in without
    assert "Glue a strip of 0.20 mm onto the base of the straight notch, for every other pull." in without
    assert "Pare" not in without
    least = with_offset(project, pull.id, Misregister(0.02, 0))
    assert "leave the notches alone" in cure_text(least, least.impression(pull.id))
