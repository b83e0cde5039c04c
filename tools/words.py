"""The words of the program for translators: brings src/nomos/words/*.ts up to the code, and says what lacks.

A catalogue is a file of Qt's translation sources (TS, DTD in Qt's documentation), one message an English text
handed to `base.language.tr`, or a word of the model (a `Literal`) that a sentence shows. Run it after words have
changed; a message without a translation is marked unfinished, and one that is gone is taken out.
"""

import ast
import sys
from collections.abc import Iterator
from pathlib import Path
from xml.etree import ElementTree

SOURCE = Path(__file__).resolve().parent.parent / "src" / "nomos"
CATALOGUES = SOURCE / "words"
CONTEXT = "nomos"


def messages() -> list[str]:
    """Every message of the code, in the order of files, each once."""
    found: dict[str, None] = {}
    for path in sorted(SOURCE.rglob("*.py")):
        if path.parent.name == "cli":
            continue
        for node in ast.walk(ast.parse(path.read_text("utf-8"))):
            found.update(dict.fromkeys(_messages_of(node)))
    found.update(dict.fromkeys(_made_by_tables()))
    return list(found)


def _messages_of(node: ast.AST) -> Iterator[str]:
    if isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id == "tr":
        if isinstance(node.args[0], ast.Constant):
            yield str(node.args[0].value)
    elif isinstance(node, ast.Subscript) and ast.unparse(node.value) == "Literal":
        for word in ast.walk(node.slice):
            if isinstance(word, ast.Constant) and isinstance(word.value, str) and word.value:
                yield word.value


def _made_by_tables() -> Iterator[str]:
    """Words that stand in a table and are translated where they are taken from it."""
    from nomos.colour.names import PALETTE

    yield from (name for name, _ in PALETTE)


def read(path: Path) -> dict[str, str]:
    """The translations of a catalogue by their messages; empty where one is unfinished."""
    root = ElementTree.parse(path).getroot()
    return {each.findtext("source", ""): each.findtext("translation", "") for each in root.iter("message")}


def write(path: Path, language: str, words: dict[str, str]) -> None:
    """Write a catalogue of messages and their translations."""
    root = ElementTree.Element("TS", version="2.1", language=language, sourcelanguage="en")
    context = ElementTree.SubElement(root, "context")
    ElementTree.SubElement(context, "name").text = CONTEXT
    for message, translation in words.items():
        each = ElementTree.SubElement(context, "message")
        ElementTree.SubElement(each, "source").text = message
        said = ElementTree.SubElement(each, "translation")
        if translation:
            said.text = translation
        else:
            said.set("type", "unfinished")
    ElementTree.indent(root, " ")
    text = ElementTree.tostring(root, "unicode")
    path.write_text(f'<?xml version="1.0" encoding="utf-8"?>\n<!DOCTYPE TS>\n{text}\n', "utf-8")


def main() -> int:
    """Bring all catalogues up to the code; returns 1 where something is left to translate."""
    lacking = 0
    for path in sorted(CATALOGUES.glob("*.ts")):
        known = read(path)
        words = {each: known.get(each, "") for each in messages()}
        write(path, path.stem, words)
        unfinished = [each for each, said in words.items() if not said]
        lacking += len(unfinished)
        print(f"{path.name}: {len(words)} messages, {len(unfinished)} to translate")
        print(*(f"  {each!r}" for each in unfinished), sep="\n")
    return 1 if lacking else 0


if __name__ == "__main__":
    sys.exit(main())
