"""What goes over the wire, by resource. The front end's types are made from these."""

from metrion.web.schemas.conventions import ConventionFields, ConventionSchema, NewConvention
from metrion.web.schemas.derived import (
    BlankSchema,
    DerivedFields,
    DerivedInputSchema,
    DerivedSchema,
    NewDerived,
    RecipeSchema,
)
from metrion.web.schemas.desk import (
    AnswerSchema,
    DraftLookSchema,
    EnteredSchema,
    FigureSchema,
    FineFigureSchema,
    LookSchema,
    NeighbourSchema,
    TurnSchema,
    TypedSchema,
    ZeroFindingSchema,
)
from metrion.web.schemas.instruments import (
    AppearanceSchema,
    DescriptionSchema,
    InstrumentFields,
    InstrumentSchema,
    LinesSchema,
    NewInstrument,
    NewTool,
    NoteSchema,
    NumeralSchema,
    PatternSchema,
    PitchSchema,
    PitchSheetSchema,
    SlideStepSchema,
    ToolSchema,
    TrialSchema,
)
from metrion.web.schemas.notebook import ErrorSchema, FaultSchema, SettingsSchema
from metrion.web.schemas.planner import PlanSchema, WishSchema
from metrion.web.schemas.quantities import NewQuantity, QuantityFields, QuantitySchema
from metrion.web.schemas.readings import (
    EarlierSchema,
    FiguresSchema,
    FlagSchema,
    HintSchema,
    NewReading,
    QuantityReading,
    ReadingFields,
    ReadingPatch,
    ReadingSchema,
)
from metrion.web.schemas.results import (
    BudgetSchema,
    ComparandFields,
    ComparedSchema,
    PlaceSchema,
    ResultSchema,
    SaidSchema,
    ShareSchema,
)
from metrion.web.schemas.sheets import (
    NewSheetSchema,
    SheetHeadSchema,
    SheetListSchema,
    SheetPatchSchema,
    SheetSchema,
    SheetSummarySchema,
    SummaryResultSchema,
)
from metrion.web.schemas.words import (
    CareSchema,
    ConceptSchema,
    FaceSchema,
    KindSchema,
    PartSchema,
    WordsSchema,
)
from metrion.web.schemas.working import SpanSchema, StepSchema
from metrion.web.schemas.zero import NewZeroCheck, ZeroCheckFields, ZeroCheckSchema

__all__ = [
    "AnswerSchema", "AppearanceSchema", "BlankSchema", "BudgetSchema", "CareSchema",
    "ComparandFields", "ComparedSchema", "ConceptSchema", "ConventionFields", "ConventionSchema",
    "DerivedFields", "DerivedInputSchema", "DerivedSchema", "DescriptionSchema",
    "DraftLookSchema", "EarlierSchema", "EnteredSchema", "ErrorSchema", "FaceSchema",
    "FaultSchema", "FigureSchema", "FiguresSchema", "FineFigureSchema", "FlagSchema",
    "HintSchema", "InstrumentFields", "InstrumentSchema", "KindSchema", "LinesSchema",
    "LookSchema", "NeighbourSchema", "NewConvention", "NewDerived", "NewInstrument",
    "NewQuantity", "NewReading", "NewSheetSchema", "NewTool", "NewZeroCheck", "NoteSchema",
    "NumeralSchema", "PartSchema", "PatternSchema", "PitchSchema", "PitchSheetSchema",
    "PlaceSchema", "PlanSchema", "QuantityFields", "QuantityReading", "QuantitySchema",
    "ReadingFields", "ReadingPatch", "ReadingSchema", "RecipeSchema", "ResultSchema",
    "SaidSchema", "SettingsSchema", "ShareSchema", "SheetHeadSchema", "SheetListSchema",
    "SheetPatchSchema", "SheetSchema", "SheetSummarySchema", "SlideStepSchema", "SpanSchema",
    "StepSchema", "SummaryResultSchema", "ToolSchema", "TrialSchema", "TurnSchema", "TypedSchema",
    "WishSchema", "WordsSchema", "ZeroCheckFields", "ZeroCheckSchema", "ZeroFindingSchema",
]  # fmt: skip
