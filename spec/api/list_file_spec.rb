# frozen_string_literal: true

require_relative "../support/api"
require "csv"

# The list on paper, as plain text and as CSV; the tick list for the cupboard door.
RSpec.describe "The list on paper", :api do
  let!(:ines) { sign_in(household!) }

  before do
    tell("/api/wants/#{food_id(ines, "honey")}", { par: "400", standing: true })
    tell("/api/list", { ref: "wick0000", text: "=HYPERLINK(\"x\") wick for the stair lamp" })
  end

  it "leaves as text, a box before each line under its aisle" do
    get "/api/list/file?as=txt"
    expect(last_response.headers["content-disposition"]).to include("shopping-list.txt")
    text = last_response.body.force_encoding("UTF-8")
    expect(text).to match(/Jars and sauces\n\[ \] 1 x \d+ g Honey\n/).and include("Other\n[ ] =HYPERLINK")
  end

  it "leaves as CSV with its formulas defused" do
    get "/api/list/file?as=csv"
    rows = CSV.parse(last_response.body.force_encoding("UTF-8").delete_prefix("\uFEFF"), headers: true)
    expect(rows.map { |row| row["what"] }).to eq(["Honey", "'=HYPERLINK(\"x\") wick for the stair lamp"])
    expect(rows.first["price"]).to match(/\A\d+\.\d\d\z/)
  end

  it "names the forms it knows" do
    expect(ask("/api/list/file?as=xls")).to include("status" => 422)
  end

  it "prints the list and what is ticked as it runs out, as a page and as PDF" do
    expect(ask("/api/print/list")["parts"].map { |part| part["heading"] }).to eq(["Jars and sauces", "Other"])
    standing = ask("/api/print/standing")
    expect(standing["parts"].flat_map { |part| part["rows"].flatten }).to include("Honey")
    %w[list standing].each do |name|
      get "/api/print/#{name}.pdf"
      expect(last_response.body).to start_with("%PDF")
    end
  end
end
