"""A drawing as DXF R2010 in millimetres, for cutters."""

from io import StringIO

from nomos.formats.drawing import Drawing

# The format's own colour numbers: what is cut through in 1, the rest in 7.
_CUT_COLOUR, _OTHER_COLOUR = 1, 7
_WORD_MM = 3.0


def drawing_dxf(drawing: Drawing) -> bytes:
    """A drawing without its header, y up as the format has it, closed shapes as closed polylines."""
    from ezdxf import units
    from ezdxf._options import options
    from ezdxf.enums import TextEntityAlignment
    from ezdxf.filemanagement import new

    # The same drawing gives the same bytes.
    options.write_fixed_meta_data_for_testing = True
    document = new("R2010", units=units.MM)
    space = document.modelspace()
    height = drawing.size_mm[1]
    for layer in (*drawing.layers, "words"):
        document.layers.add(layer, color=_CUT_COLOUR if layer == "cut" else _OTHER_COLOUR)
    for shape in drawing.shapes:
        for ring in shape.rings:
            points = [(float(x), height - float(y)) for x, y in ring]
            if shape.closed and len(points) > 1 and points[0] == points[-1]:
                # Closing a ring is the format's own doing.
                points.pop()
            space.add_lwpolyline(points, close=shape.closed, dxfattribs={"layer": shape.layer})
    for word in drawing.words:
        text = space.add_text(word.text, height=_WORD_MM, dxfattribs={"layer": "words"})
        at = word.place[0], height - word.place[1]
        text.set_placement(at, align=TextEntityAlignment.CENTER)
    stream = StringIO()
    document.write(stream)
    return stream.getvalue().encode("utf-8")
