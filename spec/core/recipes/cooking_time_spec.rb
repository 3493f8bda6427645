# frozen_string_literal: true

require_relative "../../../core/recipes/cooking_time"

RSpec.describe NutShelf::Core::Recipes::CookingTime do
  {
    "PT1H30M" => 90, "P0DT3H5M" => 185, "PT90M" => 90, "PT45S" => 1, "P1DT2H" => 1560, "pt20m" => 20, "PT1.5H" => 90,
    "1 hr 30 min" => 90, "1 1/2 hours" => 90, "20 to 25 minutes" => 25, "half an hour" => 30, "an hour" => 60,
    "1:15" => 75, "45" => 45, 45 => 45, "2 days" => 2880
  }.each { |text, minutes| it("reads #{text.inspect}") { expect(described_class.minutes(text)).to eq(minutes) } }

  ["soon", "PT", "P", "", nil, "PT0M", "0", "P400D", "-5", "PT-5M", "minutes"].each do |text|
    it("takes #{text.inspect} for no time") { expect(described_class.minutes(text)).to be_nil }
  end
end
