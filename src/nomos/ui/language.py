"""The language of the window: Qt's translation, from catalogues that are read as they are written.

It is chosen before any other part of the window or the heart is imported: see nomos.base.language.
"""

from functools import cache
from pathlib import Path
from xml.etree import ElementTree

from PyQt6.QtCore import QCoreApplication, QLibraryInfo, QLocale, QSettings, QTranslator

from nomos.base import language
from nomos.base.folders import config_folder

# The one that is spoken; None for English.
_spoken: "Catalogue | None" = None
# The folder of catalogues: <language>.ts, Qt's translation sources; tools/words.py keeps them with the code.
_CATALOGUES = Path(language.__file__).parents[1] / "words"
# As each calls itself; English stands in the code.
LANGUAGES = {"en": "English", "de": "Deutsch"}


class Catalogue(QTranslator):
    """A catalogue of translations, read from its source: what is shipped is what a translator edits."""

    def __init__(self, path: Path) -> None:
        super().__init__()
        messages = ElementTree.parse(path).getroot().iter("message")
        self._sources: dict[str, str] = {}
        self._words = {each.findtext("source"): each.findtext("translation") for each in messages}

    def translate(  # type: ignore[override]  # None is Qt's null string: it has no translation
        self, _context: str | None, message: str | None, _apart: str | None = None, _count: int = -1
    ) -> str | None:
        """The translation of a message, None where there is none."""
        return self._words.get(message) or None

    def others(self, text: str) -> tuple[str, ...]:
        """What a text is in the other language of the two."""
        if not self._sources:
            self._sources = {there: source for source, there in self._words.items() if source and there}
        return tuple(each for each in (self._words.get(text), self._sources.get(text)) if each)

    def isEmpty(self) -> bool:
        return not self._words


def window_settings() -> QSettings:
    """What is set for the windows of this machine."""
    return QSettings(str(config_folder() / "window.ini"), QSettings.Format.IniFormat)


def studio_path(settings: QSettings) -> Path:
    """Where the studio is kept: beside the window's own settings."""
    return Path(settings.fileName()).with_name("studio.json")


def is_first_print() -> bool:
    """Whether no print has been kept as a studio yet: the essential settings alone are in sight then."""
    return not studio_path(window_settings()).exists()


def both_languages(*texts: str) -> str:
    """Texts as they are shown, and in the other languages there are, to be looked through."""
    said = list(texts)
    for catalogue in _all_catalogues().values():
        said += [other for text in texts for other in catalogue.others(text)]
    return " ".join(said)


@cache
def _all_catalogues() -> dict[str, "Catalogue"]:
    return {path.stem: Catalogue(path) for path in sorted(_CATALOGUES.glob("*.ts"))}


def lookups() -> dict[str, language.Lookup | None]:
    """By language what looks its words up; None for English."""
    made: dict[str, language.Lookup | None] = {"en": None}
    for name, catalogue in _all_catalogues().items():
        made[name] = lambda said, catalogue=catalogue: catalogue.translate("nomos", said) or said  # type: ignore[misc] # bound now
    return made


def wanted(settings: QSettings) -> str:
    """The language of the window: as set, or the desktop's where there is a catalogue for it."""
    known = str(settings.value("language", "", str))
    desktop = QLocale.system().name()[:2]
    return known if known in LANGUAGES else desktop if desktop in LANGUAGES else "en"


def choose(name: str) -> None:
    """Speak a language from now on; English needs no catalogue."""
    global _spoken
    if name == "en":
        return
    _spoken = catalogue = Catalogue(_CATALOGUES / f"{name}.ts")
    locale = QLocale(name)
    QLocale.setDefault(locale)
    language.speak(name, lambda said: catalogue.translate("nomos", said) or said, locale.decimalPoint())


def install() -> None:
    """Have Qt speak it too, and its own dialogs with what Qt brings for them. Needs the application."""
    if _spoken is None:
        return
    QCoreApplication.installTranslator(_spoken)
    own = QTranslator(QCoreApplication.instance())
    place = QLibraryInfo.path(QLibraryInfo.LibraryPath.TranslationsPath)
    if own.load(QLocale(), "qtbase", "_", place):
        QCoreApplication.installTranslator(own)
