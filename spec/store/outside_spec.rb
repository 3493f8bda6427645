# frozen_string_literal: true

require_relative "../support/house"

# Outside its transaction the wall shows nothing, and nothing would pass for a house that has nothing.
RSpec.describe NutShelf::Store::Table do
  include HouseSupport

  it "refuses to read a household when its transaction is over" do
    ines = household!
    later = nil
    inside(ines) { |house| later = house }
    expect { later.meals.pool }.to raise_error(NutShelf::Store::Outside, /meals/)
    expect(inside(ines) { |house| house.meals.pool }).to eq([])
  end
end
