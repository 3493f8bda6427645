# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/kits/gives"
require_relative "../../../core/kits/needs"

# Short ways to say what specs of kits need.
module KitSupport
  include CoreSupport

  def kits = NutShelf::Core::Kits

  def figures = kits::Figures.new(targets: catalog.targets)

  def person(name, **said) = kits::Person.new(name: name, **said)

  def house
    [
      person("Ines", age: 44, sex: :woman, kg: 68r), person("Tomas", age: 46, sex: :man, factor: 1.2r),
      person("Juna", age: 15, sex: :woman, factor: 1.1r),
      person("Wren", age: 9, factor: 0.8r, excludes: ["peanut"].freeze),
      person("Piet", age: 78, sex: :man, factor: 0.8r)
    ]
  end

  def packs(id, key, pack, count: 1, until_on: nil, **said)
    number, unit = pack.match(/\A([\d.]+)([a-z]*)\z/).captures
    kits::SupplyStack.new(
      id: id, food: food(key), packs: count, usable_until: until_on && day(until_on),
      pack: NutShelf::Core::Quantity.of(number, unit.empty? ? "piece" : unit), **said
    )
  end

  # Foods that stand in a cupboard and weigh what their packs say.
  def shelf_foods
    @shelf_foods ||= catalog.foods.values.select do |food|
      food.kit_group && food.nutrition.kcal&.positive? && food.serving_g && !food.pet && food.packing.tare_g &&
        food.typical_packs.any? { |pack| pack.dimension == :mass }
    end
  end

  def random_packs(random, id, until_on: nil)
    food = shelf_foods[random.rand(shelf_foods.size)]
    sizes = food.typical_packs.select { |pack| pack.dimension == :mass }
    kits::SupplyStack.new(
      id: id, food: food, packs: random.rand(1..4), pack: sizes[random.rand(sizes.size)], usable_until: until_on
    )
  end
end
