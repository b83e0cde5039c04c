"""The notches of a project's kento."""

from nomos.project.model import Project
from nomos.registration import Kento, KentoError, place_along, place_kento


def kento_or_reason(project: Project) -> tuple[Kento | None, str]:
    """The notches, along the chosen side of the sheet, or why there is no room for them."""
    sheet, side = (project.paper.width_mm, project.paper.height_mm), project.register.side
    try:
        if side is not None:
            return place_along(sheet, project.image, project.kento, side), ""
        return place_kento(sheet, project.image, project.kento), ""
    except KentoError as error:
        return None, str(error)
