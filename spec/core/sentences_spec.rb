# frozen_string_literal: true

require_relative "support"
require_relative "../support/wrong_sentences"
require_relative "../../core/reference/guide"

# Every sentence that the dates and the keeping pages can say, over all foods, places and states: would a cook say so?
RSpec.describe "Sentences" do
  include CoreSupport

  def stories
    foods = catalog.foods.values.reject { |one| catalog.class_names.key?(one.key) && !catalog.home_class?(one.key) }
    foods.product(%w[cupboard cool_dark fridge freezer]).flat_map do |one, place|
      lives = [
        [],
        [event(:opened, "2026-11-21")],
        [event(:cut, "2026-11-21")],
        [event(:cooked, "2026-11-21")],
        [event(:moved, "2026-11-21", place: standing("freezer"))],
        [
          event(:moved, "2026-11-20", place: standing("freezer")),
          event(:moved, "2026-11-22", place: standing("fridge"))
        ],
        [event(:moved, "2026-11-22", place: standing("fridge")), event(:looked, "2026-11-23", result: :turning)],
        [event(:opened, nil), event(:moved, "2026-11-23", place: standing("cupboard"))]
      ]
      situations = one.aisle == "Home leftovers" ? %w[left_over] : %w[bought_sealed opened]
      situations.product(lives).map do |situation, events|
        NutShelf::Core::Story.new(
          food: one,
          situation: situation,
          made_on: day("2026-11-20"),
          place: standing(place),
          events: events,
          leftover_days: 1
        )
      end
    end
  end

  def faults(said) = WrongSentences.faults(said)

  it "of reasons and warnings hold to the classes, for all foods in all places and states" do
    all = stories.to_h { |story| [story, date(story)] }
    said = all.transform_values { |dating| [*dating.steps, *dating.flags.map { |flag| flag[:text] }] }
    expect(said.values.flatten.uniq.size).to be > 1000
    expect(faults(said.values.flatten.uniq).first(10)).to be_empty
    # Nothing twice for one stack, and no caution that does not apply.
    twice = said.reject { |_, texts| texts.tally.values.all?(1) }.keys
    expect(twice.map { |story| [story.food.key, story.place.kind, story.events.map(&:kind)] }.first(5)).to be_empty
    dry = all.select { |story, _| !story.food.high_risk && story.food.aisle == "Herbs and spices" }.values
    expect(dry.flat_map { |dating| dating.flags.map { |flag| flag[:code] } }).not_to include(:two_hours)
  end

  it "of the keeping pages hold to the classes, for all foods" do
    pages =
      catalog.foods.values.select do |one|
        NutShelf::Core::Guide.new(catalog, one, NutShelf::Core::Policy.new).table.any?
      end
    said =
      pages.flat_map do |one|
        guide = NutShelf::Core::Guide.new(catalog, one, NutShelf::Core::Policy.new)
        cells = guide.table.flat_map { |line| line.places.values }
        [
          *cells.filter_map { |cell| cell.reason unless cell.row },
          *cells.filter_map { |cell| cell.row&.span_words }
        ]
      end
    table_words =
      WrongSentences::CLASSES.slice("a plural for one", "years told in days", "a span of one", "words of the tables")
    wrong = said.uniq.select { |text| table_words.values.any? { |pattern| text.to_s.match?(pattern) } }
    expect(wrong).to be_empty
    lentils = NutShelf::Core::Guide.new(catalog, food("red-lentils"), NutShelf::Core::Policy.new)
    kidney = NutShelf::Core::Guide.new(catalog, food("dried-kidney-beans"), NutShelf::Core::Policy.new)
    expect([lentils.cautions.grep(/kidney/).size, kidney.cautions.grep(/kidney/).size]).to eq([0, 1])
  end
end
