"""The stated rule, its reasons, and what comes between pulls (common practice, no source)."""

from hypothesis import given
from hypothesis import strategies as st

from nomos.order import Layer, before_next, light_to_dark, reasons

layers = st.lists(
    st.builds(
        Layer,
        st.text("abcdef", min_size=1, max_size=5),
        st.tuples(st.floats(0, 100), st.floats(-60, 60), st.floats(-60, 60)),
        st.sampled_from(["transparent", "semi", "opaque"]),
        st.booleans(),
    ),
    max_size=10,
)


@given(layers)
def test_light_to_dark_with_the_key_last(some: list[Layer]) -> None:
    order = light_to_dark(some)
    assert sorted(order) == list(range(len(some)))
    sorted_layers = [some[n] for n in order]
    keys = [layer.is_key for layer in sorted_layers]
    assert keys == sorted(keys)
    lightness = [layer.lab[0] for layer in sorted_layers if not layer.is_key]
    assert lightness == sorted(lightness, reverse=True)


@given(layers)
def test_every_place_has_a_reason_and_every_gap_a_pause(some: list[Layer]) -> None:
    assert len(reasons(some)) == len(some)
    assert all(reasons(some))
    assert len(before_next(some)) == max(len(some) - 1, 0)


def test_reasons_speak_of_what_is_there() -> None:
    yellow, green = Layer("Yellow", (88, 0, 80)), Layer("Green", (50, -40, 20))
    key = Layer("Key", (15, 0, 0), is_key=True)
    first, second, last = reasons([yellow, green, key])
    assert "Palest" in first
    assert "after Yellow" in second
    assert "key goes on last" in last
    assert "veil" in reasons([green, yellow])[1]
    assert "hides" in reasons([green, Layer("White", (95, 0, 0), "opaque")])[1]
    assert "guide" in reasons([key, yellow])[0]


def test_a_neighbouring_hue_wants_a_wipe_and_a_pale_one_a_wash() -> None:
    yellow, orange, blue = Layer("Y", (88, 0, 80)), Layer("O", (70, 40, 70)), Layer("B", (40, 0, -50))
    assert "wipe" in before_next([yellow, orange])[0]
    assert "wash up" in before_next([orange, yellow])[0]
    assert "wash up" in before_next([yellow, blue])[0]
