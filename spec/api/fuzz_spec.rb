# frozen_string_literal: true

require_relative "../support/api"
require_relative "../support/fuzz"

# A few hundred odd requests; bin/drill fuzz sends thousands.
RSpec.describe "Odd requests", :api do
  let(:ines) { sign_in(household!) }

  def ids
    lots = [
      put_away(ines, "canned-chickpeas", "cupboard", count: "3")["lot_id"],
      put_away(ines, "honey", "cupboard")["lot_id"],
      put_away(ines, "beef-mince", "fridge", printed_on: "2026-11-26", printed_kind: "use_by")["lot_id"]
    ]
    recipe = inside(ines) { |house| house.recipes.values.keys.first }
    {
      "stacks" => lots,
      "places" => inside(ines) { |house| house.places.all.map(&:id) },
      "meals" => [act(:PlanMeal, ines, { recipe_id: recipe, on: "2026-11-25" })["meal_id"]],
      "counts" => [act(:StartCount, ines, { place_id: place_id(ines, "cupboard") })["count_id"]],
      "keeping" => [food_id(ines, "honey")],
      "acts" => []
    }
  end

  it "are answered in words, never with an error of ours" do
    fuzz = Fuzz.new(Random.new(RSpec.configuration.seed), ids)
    broken =
      Array.new(450) { fuzz.request }.select do |request|
        headers = {
          "CONTENT_TYPE" => "application/json",
          "HTTP_X_CSRF_TOKEN" => csrf,
          "HTTP_IDEMPOTENCY_KEY" => key!
        }.merge(request.headers)
        if request.verb == "get"
          get(request.path, {}, request.headers.except("HTTP_COOKIE"))
        else
          post(request.path, request.body, headers.except("HTTP_COOKIE"))
        end
        status >= 500
      end
    expect(broken.map(&:to_s)).to be_empty
    expect(inside(ines) { |house| house.lots.out_of_balance }).to be_empty
    expect(inside(ines) { |house| house.soundness.faults }).to be_empty
  end
end
