# frozen_string_literal: true

require_relative "../../boot/reference"
require_relative "../../core/dating/judge"

# Short ways to say what a core spec needs.
module CoreSupport
  CORE = NutShelf::Core

  def catalog = NutShelf::Boot::Reference.catalog

  def food(key) = catalog.food(key)

  def day(text) = Date.parse(text)

  def grams(number) = CORE::Quantity.of(number, "g")

  def standing(kind, name: kind, low: nil, high: nil) = CORE::Standing.new(name: name, kind: kind, low_c: low, high_c: high)

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
