"""From what a block prints to how it is cut: tools and depth, hours, boards, transfer."""

from nomos.carving.effort import Effort, effort_of, factor_from_log
from nomos.carving.maps import Roller, bevels, carve, outline_length_mm
from nomos.carving.materials import MATERIALS, USUAL_MATERIAL, USUAL_TOOLS, CarvingError, Material, Tool, check_tools
from nomos.carving.nesting import Board, CuttingPlan, plan_cutting
from nomos.carving.transfer import TRANSFER_WAYS, TRANSFERS, TransferWay
