# frozen_string_literal: true

require_relative "../../boot/reference"
require_relative "../../core/dating/judge"
require_relative "../../core/rotation/shelf"

# Short ways to say what a core spec needs.
module CoreSupport
  CORE = NutShelf::Core

  def catalog = NutShelf::Boot::Reference.catalog

  def food(key) = catalog.food(key)

  def day(text) = Date.parse(text)

  def grams(number) = CORE::Quantity.of(number, "g")

  # A stack of the shelf, in grams: 400 g worth 100 where nothing else is said.
  def stack(id, until_on = nil, grams: 400, value: 100, **facts)
    whole = grams.to_r
    last = until_on && day(until_on)
    CORE::Stack.new(
      id: id,
      food_key: "canned-chickpeas",
      label: "",
      dimension: :mass,
      grams_per_unit: 1r,
      on_hand: whole,
      amount: whole,
      minor_per_gram: value / whole,
      usable_until: last,
      strict_until: last,
      place: "shelf",
      **facts
    )
  end

  def standing(kind, name: kind, low: nil, high: nil)
    CORE::Standing.new(name: name, kind: kind, low_c: low, high_c: high)
  end

  def event(kind, on, **more) = CORE::Event.new(kind: kind, on: on && day(on), **more)

  # An own rule in a catalog: own("potatoes", "cupboard", "whole", 20, 20)
  def own(scope, place, state, low, high, kind: :quality, **more)
    row = CORE::KeepingRow.new(scope: scope, place: place, state: state, low: low, high: high, kind: kind, **more)
    catalog.with_own({ [scope, place, state] => row })
  end

  def date(story, catalog: self.catalog, school: :look_then_decide, today: "2026-11-24")
    CORE::Judge.date(story, catalog: catalog, policy: CORE::Policy.new(school: school), today: day(today))
  end

  def story(key, place = "fridge", **facts)
    facts = facts.transform_values { |fact| fact.is_a?(String) && fact.match?(/\A\d{4}-/) ? day(fact) : fact }
    CORE::Story.new(food: food(key), place: standing(place), **facts)
  end
end
