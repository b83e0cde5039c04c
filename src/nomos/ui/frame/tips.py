"""What a control is for, in a sentence, by the words that stand on it or beside it."""

from PyQt6.QtWidgets import QAbstractButton, QAbstractSpinBox, QComboBox, QLineEdit, QSlider, QWidget

from nomos.base.language import opened, tr
from nomos.ui.frame.plain_text import set_tip

_FIELDS = {
    "Name of the block": tr("What this block is called on screen, templates and cards."),
    "Name of the pull": tr("What this pass is called, where a block prints more than once."),
    "Title of the print": tr("What the print is called on templates and in the statement."),
    "Name of the ink": tr("What the ink is called on cards, lists and the ladder."),
    "A remark": tr("What is to be remembered of this edition; it goes into its log."),
    "Blocks": tr("The most blocks that a plan may have."),
    "Width of brush and line": tr("How wide the brush draws, and how wide a line comes out."),
    "Sheets of packing": tr("Sheets between tympan and paper for this pull."),
    "Trap: lighter under darker": tr(
        "How far the lighter colour runs under the darker, so that no gap opens."
    ),
    "Seam taken before a gap": tr(
        "Up to this ΔE an overlap is taken before a gap; above it the two only kiss."
    ),
    "Sheets meet blocks within": tr("How far sheets may lie from their place, as you know your hand."),
    "Thinnest line that holds": tr("Thinner printing lines are pointed out, and kept off your blocks."),
    "Finest tool": tr("Channels narrower than this are pointed out."),
    "Room between them": tr("How far apart two zones of one block are at least, to be inked apart."),
    "Inked before the first dries": tr(
        "So many inks can be put on one block before the first of them dries."
    ),
    "This block took": tr("The hours that cutting this block took: the next are reckoned by it."),
    "Kerf of the saw": tr("How wide the saw cuts: white lines between the pieces of a jigsaw."),
    "A board, width": tr("Width of a board at hand."),
    "How many": tr("So many boards of this size are at hand."),
    "What one costs": tr("Price of one board; the cuts are planned for the least of it."),
    "Thickness": tr("Of block or board."),
    "Curl": tr("How far the block stands off the bed at its worst."),
    "Roller, diameter": tr("A larger roller dips less into cleared ground."),
    "Roller, length": tr("Longer than a gap is wide, a roller is carried across it."),
    "Roller, hardness": tr("Shore A; a harder roller dips less."),
    "Slower than reckoned": tr("Your own pace against the usual one; it grows from what blocks took."),
    "Smallest feature": tr("Smaller fields are joined to what is around them."),
    "Colours": tr("So many flat colours the design is read as."),
    "Width of the print": tr("Of the image, without the sheet's margin. Type 18 cm or 7 in as well."),
    "Height": tr("Of the image, without the sheet's margin."),
    "Margin all round": tr("Kept free on the chosen sheet when the print is fitted on it."),
    "Sheets, bad ones too": tr("So many sheets were printed between the two weighings."),
    "A solid film holds": tr("Grams of ink on a square metre of a solid film."),
    "Left on slab and roller": tr("Ink that never reaches the block, of all that is put out."),
    "Ink before": tr("Weight of the ink before the pulls."),
    "Ink after": tr("Weight of what is left of it."),
    "Pulls between": tr("So many pulls were made between both weighings."),
    "Inks at most": tr("So many inks a recipe may hold, beside extender and white."),
    "Batch": tr("How much is to be mixed at once."),
    "Weight, 0 not known": tr("Of the paper, grams a square metre."),
    "Damp, along the grain": tr("How much the paper grows when it is damped, along its grain."),
    "Damp, across it": tr("How much it grows across its grain: more than along it."),
    "At lightness": tr("The slice of colours that is shown: all of this lightness."),
    "Ink trapping, measured": tr("How much of this ink takes on the wet one below, if it was measured."),
    "Tack, 0 loose to 10 tight": tr("How the ink pulls between knife and slab, against the others."),
    "Overprint after": tr("Hours before the next layer may go onto this ink."),
    "Worked into it, of the whole": tr("How much oil or carbonate has been worked in."),
    "Rollers or brushes": tr("So many are at hand: fewer mean more wash-ups."),
    "Set-up": tr("Minutes to set up for one layer."),
    "One pull": tr("Minutes from one sheet to the next."),
    "Wash-up": tr("Minutes to change to an ink that must not see the one before."),
    "Wipe": tr("Minutes to change to an ink that may see a little of it."),
    "Cutting a state further": tr("Hours of cutting between two states of a reduction."),
    "Work begins at": tr("Hour of the day."),
    "Work ends at": tr("Hour of the day."),
    "Places on the rack": tr("So many sheets can dry at once; 0 for as many as there are."),
    "Pulls a day, 0 any": tr("The most pulls you want to make on one day."),
    "Air": tr("Temperature where the sheets dry: cold air dries more slowly."),
    "Humidity": tr("Of the air where the sheets dry."),
    "Damping and pressing": tr("Hours that the paper lies damp under weight before it is printed."),
    "Stays damp": tr("Hours that a damp pack can be printed from."),
    "Sheet width": tr("Of the paper that is printed on."),
    "Sheet height": tr("Of the paper that is printed on."),
    "Margin left of the image": tr("Paper left of the image."),
    "Margin above it": tr("Paper above the image."),
    "Corner notch, each arm": tr("How far the corner notch reaches along each edge of the sheet."),
    "Straight notch, length": tr("How long the straight notch is."),
    "Its middle, of the edge": tr("Where the straight notch stands along the edge, from the corner."),
    "Depth of the notches": tr("How deep they are cut: about twice the paper's thickness, 1 mm at least."),
    "Wood beyond the notches": tr("Wood left outside the notches, so that they do not break out."),
    "Block at hand, width": tr("Of the block you have; 0 works the size out."),
    "Block at hand, height": tr("Of the block you have; 0 works the size out."),
    "Seating of the sheet": tr("How far a sheet lies from the notches or stops on 95 of 100 pulls."),
    "Seating of the block": tr("How far the block lies from its place when it is put back."),
    "Cutting of notches or stops": tr("How exactly notches or stops are made."),
    "Transfer of the drawing": tr("How exactly the drawing comes onto the block."),
    "Growth along the grain": tr("How much sheets differ in growth along the grain."),
    "Growth across the grain": tr("How much sheets differ in growth across the grain."),
    "To the right": tr("How far the block is tried out of place, as seen on the print."),
    "Down": tr("How far the block is tried out of place, as seen on the print."),
    "Turned clockwise": tr("How far the block is tried turned, about the image's middle."),
    "Full sheet, width": tr("Of the sheets the paper is sold in."),
    "Full sheet, height": tr("Of the sheets the paper is sold in."),
    "A full sheet costs": tr("Its price, for the list to buy from."),
    "A sheet of newsprint": tr("Its price, for proofs and first pulls."),
    "Edition": tr("So many sheets are numbered and signed."),
    "Artist's proofs": tr("Beside the edition, for the artist."),
    "Printer's proofs": tr("Beside the edition, for who prints it."),
    "Sheets for proofing": tr("Good paper spent until the print is right."),
    "A pull is good with": tr("How many of a hundred pulls come out good: yours grow from the record."),
    "Sure to": tr("How sure it is to be that enough good sheets are left at the end."),
    "One block": tr("The first of two blocks to be put together or taken apart."),
    "Other block": tr("The second of both."),
    "Inks": tr("Which inks a plan may use."),
    "As": tr("How blocks are sent out: as layers of one file, or as a picture each."),
    "What is drawn": tr("What a drawing on the sheet does to this pull."),
    "Ink of the chosen zone": tr("Which ink the zone is inked with."),
    "Put on with": tr("Roller, brush or other tool for this zone."),
    "Printed with": tr("Press, baren, spoon or foot."),
    "Material": tr("What the blocks are of: it decides which lines hold."),
    "The chosen block": tr("This block alone may be of another material."),
    "Way of transfer": tr("How the drawing comes onto the block."),
    "Sheet": tr("A paper of a known size."),
    "Read it as": tr("How the picture is read: a clean drawing, a sketch, or tones."),
    "Light": tr("Under which light the print is looked at."),
    "Seen by": tr("With which eyes it is looked at."),
    "Vehicle": tr("What the ink dries by."),
    "Keep to": tr("A school whose order is kept; free takes any."),
    "Block": tr("The block that you say is out."),
    "Fault": tr("What you say is wrong with it."),
    "Along the printer": tr("The edge of the block that lies towards you."),
    "Marks in the margin": tr("Marks that print with every block, to measure proofs by."),
    "Templates on": tr("The paper that templates are printed on; larger ones come as tiles."),
    "Begin on": tr("The first day of printing."),
    "A day lost": tr("A day on which nothing can be printed."),
    "From crisp to loose": tr("How far sheets may lie apart: crisp wants work, loose shows movement."),
    "Sheet of the edition": tr("Which sheet was read."),
}
_READ = tr("What was read at this corner, + to the right and down.")
_AT_A_CORNER = (f", {tr('to the right')}", f", {tr('down')}")
_BUTTONS = {
    "Make it the key": tr("The key goes on last and its lines hide the joins."),
    "Print it once more": tr("One more pass of this block."),
    "Leave it out": tr("Print without this pull."),
    "Choose all colours where both print": tr("Where both lie, their overprint is taken as the colour."),
    "The key stays": tr("Plans keep the key block as it is."),
    "The key is free": tr("Plans may do without a key."),
    "Look for plans": tr("Try all ways to print this with fewer blocks, by what overlaps make."),
    "Print there": tr("Draw where this block is to print as well."),
    "Print there no longer": tr("Draw where this block is not to print."),
    "Simplify it where nothing is seen": tr("Less to cut, where inks above hide it."),
    "Send blocks out…": tr("Write what each block prints, to draw on it elsewhere."),
    "Bring blocks in from a file…": tr("Take what blocks print from layers or pictures."),
    "Move": tr("Move what was drawn."),
    "Lasso": tr("Draw round a place."),
    "Field": tr("Choose a whole field by a click."),
    "Block onto paper, both turned over": tr("The block lies face down on the paper for this pull."),
    "Print this block once more": tr("One more pass, with an ink and zones of its own."),
    "Drawn": tr("The key is what is drawn as a line."),
    "Contour": tr("The key is a line round every field."),
    "Shadow": tr("The key is the darkest tone."),
    "None": tr("No key: colours meet each other."),
    "Show it on the sheet": tr("Move the sheet to where it is. N goes to the next."),
    "Impressions of the key": tr("Pull the key's line onto every colour block to cut by."),
    "One tracing": tr("Every block is drawn from one tracing."),
    "Compare with the plans found": tr("Cutting hours of the plans found at Blocks."),
    "Write carving maps and transfer sheets…": tr("True-scale pages for every block, into a folder."),
    "The blocks are sawn: keep the offcuts": tr(
        "Take the boards as used, and what is left as boards at hand."
    ),
    "Add this board": tr("Put it with those at hand."),
    "No boards at hand": tr("Plan with boards to be bought."),
    "Leave the border to hold it by": tr("Wood outside the image stays, to hold the block by."),
    "Choose": tr("A click chooses a field."),
    "Another colour": tr("A click adds the colour that is missing there."),
    "Paper": tr("A click leaves a field bare."),
    "Line": tr("A click makes a field part of the drawn line."),
    "No line": tr("A click takes a stroke out of the line."),
    "Fill": tr("A click gives a field the chosen colour."),
    "Brush": tr("Draw with the chosen colour."),
    "Find the sheet and the drawing": tr("Look for the paper in the photograph, and for the drawing on it."),
    "The whole picture": tr("Print all of the picture."),
    "Turn left": tr("A quarter turn."),
    "Turn right": tr("A quarter turn."),
    "Mirror": tr("Left and right change sides."),
    "Print": tr("Drag the corners of what is printed."),
    "Size": tr("Drag the print's size on a sheet of paper."),
    "Sheet": tr("Drag the corners of the paper it was drawn on: light and size are judged by it."),
    "Length": tr("Draw along something whose length you know."),
    "Stays bare": tr("Draw round what is not printed."),
    "Keep the shape as it is seen": tr("Width and height change together."),
    "Fit the print on that sheet": tr("As large as the sheet holds within the margin."),
    "The sketch was drawn on that sheet": tr(
        "The photographed sheet has this size: the print's size follows."
    ),
    "Inked evenly": tr("The zone has one strength."),
    "Graded": tr("The zone goes from one strength to another."),
    "Transparent": tr("What lies below shows through."),
    "Half": tr("It hides a part of what lies below."),
    "Opaque": tr("It hides what lies below."),
    "Work the film out from these weights": tr("How thick your films are, from what was weighed."),
    "Compare with a scan of a proof…": tr("Measure the colours of a real proof against the plan."),
    "Open a shelf…": tr("Mix from your own inks: a table of them."),
    "The studio's inks": tr("Mix from the inks that are kept in the studio."),
    "Find recipes": tr("Look for mixtures of the shelf that show this ink's colour here."),
    "Teach the ink from readings…": tr("Take the ink's optics from measured readings."),
    "A card to draw down on, to print…": tr("A card with black and white bars for a drawdown of the ink."),
    "Read a drawdown card…": tr("Take the ink's optics from a scan of the card."),
    "Keep this print's inks as a shelf…": tr("Write them as a table, for the next print."),
    "Grain runs up": tr("The paper grows most from side to side."),
    "Grain runs across": tr("The paper grows most up and down."),
    "As it dries": tr("The print as it will be."),
    "While it is wet": tr("Deeper and shining, as it leaves the press."),
    "Chart of all overlaps, to print…": tr("Patches of all inks over each other, to be printed and scanned."),
    "Compare a scan of it…": tr("Read a scan of the printed chart."),
    "Learn the inks from it…": tr("Put the inks right by what the chart shows."),
    "On dry ink": tr("The layer below is dry."),
    "On wet ink": tr("The layer below is wet: less of this one takes."),
    "Oil": tr("Makes the ink looser."),
    "Carbonate": tr("Makes the ink stiffer. Do not breathe the powder."),
    "Paste, other": tr("Something else was worked in."),
    "Write the days as iCalendar…": tr("For your own calendar."),
    "Whole edition a layer": tr("All sheets get one layer before the next."),
    "Sheet by sheet": tr("One sheet goes through all layers."),
    "Lose that day, or have it back": tr("The days after it move."),
    "Print it earlier": tr("One place earlier. Drag it on the ladder as well."),
    "Print it later": tr("One place later. Drag it on the ladder as well."),
    "Pin it to its place": tr("Orders that are looked for leave it there."),
    "Look for the best orders": tr("Try all orders: colours, wash-ups, days."),
    "Damped the evening before": tr("The pack is damp when the day begins."),
    "Read the air (simulated gauge)": tr("Take temperature and humidity from a gauge."),
    "A proof with one fault": tr("A made-up proof: find which block is out."),
    "A proof with two faults": tr("A made-up proof: find which two blocks are out."),
    "Say so": tr("See whether you are right."),
    "Read a scan of a sheet…": tr("Measure how far every block is out on it."),
    "Scan the sheet as tried here": tr("Practise with the print as it is on the screen."),
    "This block is not cut yet": tr("It can still be moved in its transfer."),
    "Keep what was read": tr("Put it with the readings of this print."),
    "Right-handed": tr("The corner notch lies at your right when the block faces you."),
    "Left-handed": tr("The corner notch lies at your left when the block faces you."),
    "Write the packet…": tr("Everything to print by, into a folder."),
    "Print 100 whole sheets": tr("Lay a hundred sheets in full, one by one: slower, and exact."),
    "See nine plausible sheets": tr("Nine sheets as they may come out, beside each other."),
    "See one at full size": tr("One sheet as it may come out; press again for the next of twelve."),
    "Practised hand": tr("The parts of the error of someone who has printed editions."),
    "First edition": tr("The parts of the error of someone who begins."),
    "Printed on damp paper": tr("Damp paper grows, and shrinks as it dries."),
    "Keep a picture of a proof…": tr("Put a scan of a proof with the record."),
    "Ink and days are planned for them": tr("Plan ink and days by this number of sheets."),
    "Plan ink and days for them": tr("Plan ink and days by this number of sheets."),
    "A BAT beside it": tr("The sheet that the edition must match."),
    "One bad sheet for every layer": tr("The first pull of a layer is poor: a sheet is given up for it."),
    "Steps": tr("What to do, one after the other."),
    "What it cannot do": tr("Where this system fails."),
}
# By the words that stand there in the language that is spoken.
_BY_FIELD = {tr(words): tip for words, tip in _FIELDS.items()}
_BY_BUTTON = {tr(words): tip for words, tip in _BUTTONS.items()}
# Made of a word of the model, or with a key below it.
_BY_BUTTON |= {
    tr("Try it with simulated devices\nG").split("\n")[0]: tr(
        "Go through a bench session without a press, in a log of its own."
    ),
    tr("{word} face", word=opened(tr("smooth"))): tr("A solid covers all of the paper."),
    tr("{word} face", word=opened(tr("rough"))): tr("A solid leaves the hollows open."),
    opened(tr("coated")): tr("Inks stay on top and keep their strength."),
    opened(tr("smooth")): tr("Inks sink in a little."),
    opened(tr("absorbent")): tr("Inks sink in and are duller."),
    tr("{word} film", word=opened(tr("light"))): tr("Less ink on the roller."),
    tr("{word} film", word=opened(tr("normal"))): tr("The usual amount."),
    tr("{word} film", word=opened(tr("heavy"))): tr("More ink."),
}
_DAYS = (tr("Mo"), tr("Tu"), tr("We"), tr("Th"), tr("Fr"), tr("Sa"), tr("Su"))


def _button_tip(words: str) -> str:
    # Under the words of a bench's button stands its key.
    words = words.split("\n")[0].lstrip("▸▾ ").strip()
    if words.startswith(tr("Begin layer")):
        return tr("Print this layer next. The key does the same.")
    if words.startswith(tr("Trap ")):
        return tr("Take this trap: gaps up to that width close.")
    if words in _DAYS:
        return tr("Whether that day is worked on.")
    return _BY_BUTTON.get(words, "")


def _field_tip(words: str) -> str:
    words = words.removesuffix(", ±")
    return _READ if words.endswith(_AT_A_CORNER) else _BY_FIELD.get(words, "")


def give_tips(station: QWidget) -> None:
    """Give every control of a station its tip."""
    for control in station.findChildren(QWidget):
        if isinstance(control, QAbstractButton):
            give_tip(control, control.accessibleName() or control.text())
        elif isinstance(control, QComboBox | QAbstractSpinBox | QSlider | QLineEdit):
            give_tip(control, control.accessibleName())


def give_tip(control: QWidget, words: str) -> None:
    """Give a control its tip, by the words on it or beside it, if it has none of its own."""
    if control.toolTip():
        return
    tip = _button_tip(words) if isinstance(control, QAbstractButton) else _field_tip(words)
    if tip:
        set_tip(control, tip)
