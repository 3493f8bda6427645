# frozen_string_literal: true

require_relative "support"

RSpec.describe NutShelf::Core::Value do
  let(:tin) { described_class.of(:name, size: 400, marks: [].freeze) { def large? = size > 500 } }

  it "makes frozen values that are the same when they say the same" do
    expect(tin.new(name: "Peas")).to be_frozen.and have_attributes(name: "Peas", size: 400, marks: [], large?: false)
    expect(tin.new(name: "Peas", size: 400)).to eq(tin.new(name: "Peas"))
    expect(tin.new(name: "Peas", size: 800)).to be_large
    expect { tin.new(name: "Peas").name = "Beans" }.to raise_error(NoMethodError)
  end

  it "takes no name it does not know, and leaves out nothing silently" do
    expect { tin.new(nam: "Peas") }.to raise_error(ArgumentError, /nam/)
    expect(tin.new.to_h).to eq(name: nil, size: 400, marks: [])
  end
end
